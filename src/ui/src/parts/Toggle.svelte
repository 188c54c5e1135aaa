<script lang="ts">
  import { Toggle, type ToggleRootProps } from "bits-ui";

  /** A button that is on or off; what it shows is its owner's to say. */
  interface Props extends Omit<ToggleRootProps, "pressed" | "onPressedChange" | "ref"> {
    pressed: boolean;
    onpress: () => void;
  }
  let { pressed, onpress, children, ...rest }: Props = $props();
</script>

<Toggle.Root {...rest} bind:pressed={() => pressed, () => onpress()}>{@render children?.({ pressed })}</Toggle.Root>
