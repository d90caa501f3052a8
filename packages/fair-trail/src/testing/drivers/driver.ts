/** A reference to an element of a page, as the protocol of the driver writes it. */
export type WebElement = Readonly<Record<string, unknown>>;

/**
 * A source of input with its steps, as the section "Actions" of the WebDriver standard defines them. WebDriver BiDi takes the
 * same.
 */
export type InputSource =
  | { readonly type: 'none'; readonly id: string; readonly actions: readonly PauseAction[] }
  | { readonly type: 'key'; readonly id: string; readonly actions: readonly (KeyAction | PauseAction)[] }
  | {
      readonly type: 'pointer';
      readonly id: string;
      readonly parameters: { readonly pointerType: 'mouse' | 'touch' };
      readonly actions: readonly (PointerAction | PauseAction)[];
    };

export interface PauseAction {
  readonly type: 'pause';
  /** In milliseconds. */
  readonly duration?: number;
}

export interface KeyAction {
  readonly type: 'keyDown' | 'keyUp';
  /** One character: the key’s own, or one that the WebDriver standard has for a key without. */
  readonly value: string;
}

export type PointerAction =
  | { readonly type: 'pointerDown' | 'pointerUp'; readonly button: number }
  | {
      readonly type: 'pointerMove';
      readonly x: number;
      readonly y: number;
      /** What `x` and `y` count from: the window’s corner, or the middle of an element. */
      readonly origin: 'viewport' | WebElement;
    };

/**
 * One window of a browser that is driven from outside, over an open protocol. What it does is little, so that two protocols
 * can do it alike; `driverHost` makes a host of it.
 */
export interface Driver {
  /** The browser, for messages: `firefox 140.0`. */
  readonly name: string;
  /**
   * What an expression gives in the page; a promise is waited for. The value is data: numbers, text, lists and objects of
   * them.
   */
  readonly evaluate: (expression: string) => Promise<unknown>;
  /** The element that an expression gives; null if there is none. */
  readonly find: (expression: string) => Promise<WebElement | null>;
  /** Real input. What is pressed stays so until it is released, in this call or in a later one. */
  readonly perform: (sources: readonly InputSource[]) => Promise<void>;
  /** Makes the page’s own part of the window this size, in CSS pixels. */
  readonly resize: (size: { readonly width: number; readonly height: number }) => Promise<void>;
  readonly visit: (address: string) => Promise<void>;
  readonly reload: () => Promise<void>;
  /** Gives the window the focus, which a key may have moved into the browser’s own bars. */
  readonly focus: () => Promise<void>;
  /**
   * Goes into the frame whose element an expression of the whole page gives: from then on, all but `visit`, `reload`,
   * `resize` and `focus` happens there. Null: back to the whole page.
   */
  readonly enter: (frame: string | null) => Promise<void>;
  /** Ends the window and what belongs to it. */
  readonly close: () => Promise<void>;
}
