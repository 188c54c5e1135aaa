<script lang="ts">
  import { toast, Toaster } from "svelte-sonner";
  import { m } from "../paraglide/messages";
  import { toaster } from "../toast.svelte";
  import ToastLine from "./ToastLine.svelte";

  // One line at a time: the newest takes the place of the one before it.
  $effect(() => {
    const { now } = toaster;
    if (!now) return;
    const { id, stays } = now;
    const over = () => toaster.over(id);
    toast.custom(ToastLine, {
      id,
      duration: stays ? Infinity : toaster.lastsMs,
      componentProps: { line: now },
      onDismiss: over,
      onAutoClose: over,
    });
    return () => toast.dismiss(id);
  });
</script>

<Toaster
  position="bottom-center"
  visibleToasts={1}
  containerAriaLabel={m.toasts()}
  toastOptions={{ unstyled: true, class: "grid w-full place-items-center" }}
/>
