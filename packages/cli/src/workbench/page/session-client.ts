import type { SaveOutcome, SaveRequest, WorkbenchState, WorkbenchTexts } from '../server/workbench-state.ts';

/** The server of this page's session. */
export class SessionClient {
  readonly #token: string;

  constructor(token: string) {
    this.#token = token;
  }

  /** The files as they are now. @throws Error with a message for people */
  async state(): Promise<WorkbenchState> {
    return (await this.#ask('GET', 'state')) as WorkbenchState;
  }

  async save(request: SaveRequest): Promise<SaveOutcome> {
    return (await this.#ask('POST', 'save', request)) as SaveOutcome;
  }

  /** Shows texts in a running app; null for what is saved. */
  async showDraft(texts: WorkbenchTexts | null): Promise<void> {
    await this.#ask('POST', 'draft', texts);
  }

  async takePictures(texts: WorkbenchTexts): Promise<string> {
    return ((await this.#ask('POST', 'pictures', texts)) as { readonly message: string }).message;
  }

  /** Calls back when a file has changed. @returns a function that stops listening */
  onChange(changed: () => void): () => void {
    const source = new EventSource(`session/changes?session=${encodeURIComponent(this.#token)}`);
    source.addEventListener('message', changed);
    // A server that was away may have missed something.
    source.addEventListener('open', changed);
    return () => source.close();
  }

  async #ask(method: 'GET' | 'POST', name: string, body?: unknown): Promise<unknown> {
    const response = await fetch(`session/${name}`, {
      method,
      headers: {
        'fair-trail-session': this.#token,
        ...(body !== undefined && { 'Content-Type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    }).catch(() => null);
    if (!response)
      throw new Error('The workbench’s server does not answer. Start it again; your changes stay in this page.');
    const value: unknown = await response.json();
    if (!response.ok) throw new Error((value as { readonly message?: string }).message ?? 'The server failed.');
    return value;
  }
}
