/** What has been tried, at each width: menus that many pages share are used once. */
export class Tried {
  readonly #names = new Set<string>();
  /** How often what is made alike has been tried. */
  readonly #counts = new Map<string, number>();

  has(width: number, name: string): boolean {
    return this.#names.has(`${width}\n${name}`);
  }

  /** Whether this has not been tried at this width yet; from now on it has. */
  isNew(width: number, name: string): boolean {
    const isNew = !this.has(width, name);
    this.#names.add(`${width}\n${name}`);
    return isNew;
  }

  /** Whether fewer than so many of a likeness have been tried at this width; from now on one more has. */
  isRare(width: number, likeness: string, most: number): boolean {
    const key = `${width}\n${likeness}`;
    const count = this.#counts.get(key) ?? 0;
    this.#counts.set(key, count + 1);
    return count < most;
  }
}
