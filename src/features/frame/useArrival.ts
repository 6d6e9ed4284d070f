import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';
import { focusHeading, heading } from '@/ui/heading';
import { onGroupKey } from './keys';

/** A screen that has not come by then says so itself. */
const PATIENCE_MS = 10_000;
const NAME = 'Tawny Hour';

/** Calls back once the screen has its heading; returns how to stop waiting. */
function whenHeaded(then: (heading: HTMLElement) => void): () => void {
  const found = heading();
  if (found) {
    then(found);
    return () => undefined;
  }
  const stop = () => {
    clearTimeout(timer);
    watch.disconnect();
  };
  const watch = new MutationObserver(() => {
    const late = heading();
    if (!late) return;
    stop();
    then(late);
  });
  watch.observe(document.body, { childList: true, subtree: true });
  const timer = setTimeout(stop, PATIENCE_MS);
  return stop;
}

/** The tab that is chosen in the list of that name: it stays in hand when what it shows is another address. */
const chosenTab = (list: string): HTMLElement | null =>
  document.querySelector<HTMLElement>(
    `[role="tablist"][aria-label="${CSS.escape(list)}"] [aria-selected="true"]`,
  );

/** Which side of the screen is up: the page of its places, or the passage of a painting. */
const side = (): string | null =>
  document
    .querySelector('[role="main"] [role="navigation"] [aria-label$=", here"]')
    ?.textContent.trim() ??
  document.querySelector('[role="main"] [role="tab"][aria-selected="true"]')?.textContent.trim() ??
  null;

/** Each screen gives the page its title, and takes the focus when it has come in another's place. */
export function useArrival(): void {
  const path = usePathname();
  const before = useRef(path);
  const tabs = useRef<string | null>(null);
  useEffect(() => {
    const keep = (event: FocusEvent) => {
      const list = (event.target as Element).closest?.('[role="tablist"]');
      tabs.current = list?.getAttribute('aria-label') ?? null;
    };
    document.addEventListener('focusin', keep);
    document.addEventListener('keydown', onGroupKey);
    return () => {
      document.removeEventListener('focusin', keep);
      document.removeEventListener('keydown', onGroupKey);
    };
  }, []);
  useEffect(() => {
    const moved = before.current !== path;
    before.current = path;
    return whenHeaded((title) => {
      document.title = [side(), title.textContent, NAME].filter(Boolean).join(' · ');
      if (!moved) return;
      const tab = tabs.current === null ? null : chosenTab(tabs.current);
      if (tab) tab.focus({ preventScroll: true });
      else focusHeading();
    });
  }, [path]);
}
