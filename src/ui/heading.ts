const MAIN_HEADING = '[role="main"] [role="heading"][aria-level="1"], [role="main"] h1';

/** What the screen is called, as it stands there. */
export const heading = (): HTMLElement | null => document.querySelector<HTMLElement>(MAIN_HEADING);

/** Where a reader goes on: on a new screen, and after a dialog whose button is gone. */
export function focusHeading(): void {
  const place = heading();
  if (!place) return;
  place.tabIndex = -1;
  place.focus({ preventScroll: true });
}
