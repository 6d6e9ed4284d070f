import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { createStore, type Store } from '@/store/store';
import { ThemeProvider } from '@/ui/rne';
import { theme } from '@/ui/theme';

/** A screen in a studio, as it stands in the frame. */
export function inStudio(element: ReactElement, store: Store = createStore()) {
  const view = render(
    <Provider store={store}>
      <ThemeProvider theme={theme}>{element}</ThemeProvider>
    </Provider>,
  );
  return { ...view, store };
}

export const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

/** Type into a field, and leave it. */
export function type(label: string, text: string): void {
  fireEvent.change(field(label), { target: { value: text } });
  fireEvent.blur(field(label));
}

// Nothing here is styled away, and to look through every rule of the style sheet for each name takes three quarters of
// the time: what stands on the element itself is enough.
beforeAll(() => {
  jest.spyOn(window, 'getComputedStyle').mockImplementation((el) => (el as HTMLElement).style);
});

// Whether a thing is hidden costs most of the time of asking by its role, and nothing here is.
const hidden = true;
export const press = (name: string | RegExp) =>
  fireEvent.click(screen.getAllByRole('button', { name, hidden })[0]!);
export const choose = (name: string | RegExp) =>
  fireEvent.click(screen.getByRole('radio', { name, hidden }));
export const tick = (name: string | RegExp) =>
  fireEvent.click(screen.getByRole('checkbox', { name, hidden }));
