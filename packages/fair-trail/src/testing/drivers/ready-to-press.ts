/**
 * Waits in the page until an element can be pressed as a person would: it stands still, is within the window, and nothing lies
 * over its middle. Written as text, since it runs in the page. Answers an empty text, or what was in the way.
 */
export function readyToPress(element: string, milliseconds: number): string {
  return `(async () => {
    const end = performance.now() + ${milliseconds};
    const frame = () => new Promise((drawn) => {
      // A window that is not shown draws nothing.
      const late = setTimeout(drawn, 100);
      requestAnimationFrame(() => { clearTimeout(late); drawn() });
    });
    const middleOf = ({ left, top, width, height }) => [left + width / 2, top + height / 2];
    const topAt = (x, y) => {
      let found = document.elementFromPoint(x, y);
      while (found?.shadowRoot?.elementFromPoint(x, y) && found.shadowRoot.elementFromPoint(x, y) !== found)
        found = found.shadowRoot.elementFromPoint(x, y);
      return found;
    };
    const isWithin = (node, element) => {
      for (let one = node; one; one = one.parentNode ?? one.host) if (one === element) return true;
      return node?.control === element || node?.closest?.('label')?.control === element;
    };
    // What is on its way moves things, also where it has not begun to. What goes on for ever is not waited for.
    const isMoving = () => document.getAnimations().some((one) => {
      const { iterations, duration } = one.effect?.getComputedTiming() ?? {};
      return one.playState === 'running' && iterations !== Infinity && duration < 1000;
    });
    let found = 'it is not there';
    for (let still = 0; ;) {
      const element = ${element};
      if (!element?.isConnected) found = 'it has gone';
      else if (element.disabled) found = 'it is disabled';
      else {
        const before = element.getBoundingClientRect();
        const [x, y] = middleOf(before);
        if (x < 0 || y < 0 || x > innerWidth || y > innerHeight)
          element.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
        await frame();
        const now = element.getBoundingClientRect();
        const [atX, atY] = middleOf(now);
        if (now.width === 0 || now.height === 0) found = 'it has no size';
        else if (['left', 'top', 'width', 'height'].some((side) => Math.abs(now[side] - before[side]) > 0.5)) found = 'it moves';
        else {
          const over = topAt(atX, atY);
          still = isWithin(over, element) && !isMoving() ? still + 1 : 0;
          if (still > 2) return '';
          if (isWithin(over, element)) {
            // A press within a transition is a press all the same.
            if (performance.now() > end) return '';
            continue;
          }
          found = over ? 'over it lies ' + over.outerHTML.replace(/>[^]*$/u, '>') : 'it stands outside the window';
          if (performance.now() < end) {
            // What sticks to an edge of the window may lie over it.
            element.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
          }
        }
      }
      if (performance.now() > end) return found;
      await frame();
    }
  })()`;
}
