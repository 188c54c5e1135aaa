import { onDestroy } from "svelte";
import { call, type Trouble } from "../../api/call";
import { api } from "../../api/client";
import { Fetched } from "../../api/fetched.svelte";
import type { CodeView, ScreenKind, ScreenView } from "../../api/types";
import { m } from "../../paraglide/messages";
import { toaster, told } from "../../toast.svelte";

const LOOKS_EVERY_MS = 1000;
const FETCHES_EVERY = 5;

/** Who may come in: the passphrase, the code that is shown and the screens that are in. */
export class Screens {
  readonly fetched = new Fetched(() => call(() => api.GET("/api/screens")));
  code = $state.raw<CodeView | null>(null);
  kind = $state<ScreenKind>("all");
  /** Until the code that is shown runs out, seconds. */
  left = $state(0);
  trouble = $state.raw<Trouble | null>(null);
  private looked = 0;

  constructor() {
    void this.fetched.fetch();
    const timer = setInterval(() => this.look(), LOOKS_EVERY_MS);
    onDestroy(() => clearInterval(timer));
  }

  async show(): Promise<void> {
    const { data } = await told(
      m.screens_code_show(),
      call(() => api.POST("/api/screens/codes", { body: { kind: this.kind } })),
    );
    this.code = data;
    this.tick();
  }

  as(kind: ScreenKind): void {
    this.kind = kind;
    if (this.code) void this.show();
  }

  /** @returns whether it was taken */
  async setPassphrase(passphrase: string): Promise<boolean> {
    const { trouble } = await call(() => api.PUT("/api/screens/passphrase", { body: { passphrase } }));
    this.trouble = trouble;
    if (trouble) return false;
    toaster.say(m.screens_pass_was_set());
    await this.fetched.fetch();
    return true;
  }

  async rename(screen: ScreenView, name: string): Promise<void> {
    if (!name.trim() || name === screen.name) return;
    await told(
      m.screen_name_of({ name: screen.name }),
      call(() => api.PUT("/api/screens/{id}", { params: { path: { id: screen.id } }, body: { name } })),
    );
    await this.fetched.fetch();
  }

  async sendAway(screen: ScreenView): Promise<void> {
    const { trouble } = await told(
      m.screen_send_away(),
      call(() => api.DELETE("/api/screens/{id}", { params: { path: { id: screen.id } } })),
    );
    if (!trouble) toaster.say(m.screen_sent_away({ name: screen.name }));
    await this.fetched.fetch();
  }

  private look(): void {
    this.tick();
    // Whoever comes in by the code that is shown stands in the list at once.
    if (this.code && ++this.looked % FETCHES_EVERY === 0) void this.fetched.fetch();
  }

  private tick(): void {
    this.left = this.code ? Math.max(Math.round((Date.parse(this.code.until) - Date.now()) / 1000), 0) : 0;
  }
}
