/**
 * What was pressed often goes with what it did: a correction that is taken, a line that is removed, a form that has been
 * heard. The focus then falls to the page, and whoever works by keys or by ear begins again from its top. This catches it: it
 * goes to what took the place, or to the nearest thing around it that is still there.
 */

const movable =
  'a[href], button:not(:disabled), summary, select:not(:disabled), input:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])';

/** A place in the page, from the inside out: each element around, and which of its children led to it. */
type Path = ReadonlyArray<readonly [around: Element, child: number]>;

function pathOf(element: Element): Path {
  const path: Array<readonly [Element, number]> = [];
  for (let at = element; at.parentElement; at = at.parentElement)
    path.push([at.parentElement, [...at.parentElement.children].indexOf(at)]);
  return path;
}

const isSeen = (element: Element): boolean => element.checkVisibility();

/** Nothing is typed into by accident: a field takes the focus only where a field had it. */
const takes = (element: Element, fromField: boolean): boolean =>
  isSeen(element) && (fromField || !element.matches('input, textarea, select'));

const firstIn = (part: Element, fromField: boolean): HTMLElement | undefined =>
  [part, ...part.querySelectorAll(movable)].find(
    (e): e is HTMLElement => e.matches(movable) && takes(e, fromField),
  );

/** What is nearest to a place that is gone: in its stead, after it, before it; else what stands around. */
function nearest(path: Path, fromField: boolean): HTMLElement | undefined {
  for (const [around, child] of path) {
    if (!around.isConnected || !isSeen(around)) continue;
    if (around.matches('main, body')) break;
    const children = [...around.children];
    const inOrder = [...children.slice(child), ...children.slice(0, child).reverse()];
    for (const part of inOrder) {
      const found = firstIn(part, fromField);
      if (found) return found;
    }
    const heading = around.querySelector<HTMLElement>('h1, h2, h3');
    if (heading && isSeen(heading)) {
      heading.tabIndex = -1;
      return heading;
    }
  }
  return undefined;
}

/**
 * Keeps the focus on the page where what had it goes.
 *
 * @returns ends it
 */
export function keepFocus(): () => void {
  let path: Path = [];
  let had: Element | undefined;
  /** Where it was on the page itself: a menu hangs outside, and goes with what it was opened from. */
  let onPage: Path = [];
  const note = (event: FocusEvent) => {
    had = event.target as Element;
    path = pathOf(had);
    if (had.closest('main')) onPage = path;
  };
  const look = () => {
    if (!had || document.activeElement !== document.body) return;
    const gone = !had.isConnected || (had as HTMLButtonElement).disabled || !isSeen(had);
    if (!gone) return;
    const fromField = had.matches('input, textarea, select');
    const to = nearest(path, fromField) ?? nearest(onPage, fromField);
    had = undefined;
    to?.focus({ preventScroll: true });
  };
  // After what was done is drawn: a part that moves away comes back by itself sometimes.
  let waiting = 0;
  const soon = () => {
    cancelAnimationFrame(waiting);
    waiting = requestAnimationFrame(look);
  };
  const seen = new MutationObserver(soon);
  seen.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
  document.addEventListener('focusin', note);
  return () => {
    seen.disconnect();
    cancelAnimationFrame(waiting);
    document.removeEventListener('focusin', note);
  };
}
