/**
 * Keys within groups, in one place for all of them (WAI-ARIA Authoring Practices, radio group, tabs, checkbox): Space
 * presses what the library's own press leaves to Enter, arrows go from one to the next, Home and End to the ends.
 */
const ITEM = '[role="radio"], [role="tab"], [role="checkbox"]';
const GROUP = '[role="radiogroup"], [role="tablist"], [role="group"]';

const STEPS: Partial<Record<string, (at: number, count: number) => number>> = {
  ArrowRight: (at, count) => (at + 1) % count,
  ArrowDown: (at, count) => (at + 1) % count,
  ArrowLeft: (at, count) => (at - 1 + count) % count,
  ArrowUp: (at, count) => (at - 1 + count) % count,
  Home: () => 0,
  End: (_at, count) => count - 1,
};

const isFree = (item: Element): boolean => item.getAttribute('aria-disabled') !== 'true';

/** Answers a key that was pressed; leaves all others alone. */
export function onGroupKey(event: KeyboardEvent): void {
  if (event.altKey || event.ctrlKey || event.metaKey || !(event.target instanceof Element)) return;
  const item = event.target.closest<HTMLElement>(ITEM);
  if (!item || item !== event.target) return;
  const role = item.getAttribute('role')!;
  if (event.key === ' ') {
    event.preventDefault();
    if (!event.repeat) item.click();
    return;
  }
  const step = STEPS[event.key];
  const group = item.closest(GROUP);
  if (!step || !group) return;
  const items = [...group.querySelectorAll<HTMLElement>(`[role="${role}"]`)].filter(isFree);
  const next = items[step(items.indexOf(item), items.length)];
  if (!next || next === item) return;
  event.preventDefault();
  next.focus();
  // Of several that are chosen one by one, to go there is to choose; a tick is only set by pressing it.
  if (role !== 'checkbox') next.click();
}
