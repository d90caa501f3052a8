import type { Page } from 'playwright-core';

/** What the page looked like where something was found. */
export interface Picture {
  /** A JPEG, in base64. */
  readonly data: string;
  readonly width: number;
  readonly height: number;
  /** Where the element is in it; null if it is not to be seen. */
  readonly frame: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  } | null;
}

/** How high a picture is at most, in CSS pixels. */
const mostHeight = 320;

/** A picture of the window as it is now, around an element; null if none could be taken. The page is not touched. */
export async function takePicture(page: Page, selector: string): Promise<Picture | null> {
  const size = page.viewportSize();
  if (!size) return null;
  const box = await page
    .locator(selector.replaceAll(' >>> ', ' '))
    .first()
    .boundingBox({ timeout: 1500 })
    .catch(() => null);
  const isIn = box !== null && box.y < size.height && box.y + box.height > 0 && box.width > 0;
  const height = Math.min(mostHeight, size.height);
  const middle = isIn ? box.y + Math.min(box.height, height) / 2 : height / 2;
  const top = Math.max(0, Math.min(size.height - height, Math.round(middle - height / 2)));
  try {
    const data = await page.screenshot({
      type: 'jpeg',
      quality: 60,
      clip: { x: 0, y: top, width: size.width, height },
      timeout: 5000,
    });
    const frame = isIn ? { left: box.x, top: box.y - top, width: box.width, height: box.height } : null;
    return { data: data.toString('base64'), width: size.width, height, frame };
  } catch {
    return null;
  }
}
