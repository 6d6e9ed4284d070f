import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { Finding } from '@/core/rules';
import { createStore } from '@/store/store';
import { FindingNotices } from './FindingNotices';

const NOW = Date.UTC(2026, 1, 17, 10);
const finding = (over: Partial<Finding>): Finding => ({
  rule: 'acrylic-over-oil',
  severity: 'forbid',
  about: 'Block-in',
  untilMs: null,
  value: null,
  overruled: null,
  ...over,
});

const inStudio = (shown: ReactNode) => render(<Provider store={createStore()}>{shown}</Provider>);

test('a refusal says why, what to do and whence; what is to know is folded away', () => {
  inStudio(
    <FindingNotices
      nowMs={NOW}
      findings={[finding({}), finding({ rule: 'acrylic-ground', severity: 'note', about: null })]}
    />,
  );
  expect(
    screen.getByText(/^Refused\. Acrylic over oil, block-in: acrylic does not hold/),
  ).toBeTruthy();
  expect(screen.getByText(/Use oil from here on.*from memory/)).toBeTruthy();
  expect(screen.queryByText(/^To know\. /)).toBeNull();
  fireEvent.click(screen.getByText('Good to know: 1'));
  expect(screen.getByText(/^To know\. Oil on acrylic ground/)).toBeTruthy();
});

test('a wait is told with its day', () => {
  const untilMs = NOW + 3 * 86_400_000;
  inStudio(
    <FindingNotices
      nowMs={NOW}
      findings={[finding({ rule: 'oil-over-acrylic-paint', severity: 'caution', untilMs })]}
    />,
  );
  expect(screen.getByText(/From about Fri 20/)).toBeTruthy();
});

test('going against a rule takes a reason, and can be taken back', () => {
  const onOverrule = jest.fn();
  const store = createStore();
  const notices = (overruled: string | null) => (
    <Provider store={store}>
      <FindingNotices nowMs={NOW} findings={[finding({ overruled })]} onOverrule={onOverrule} />
    </Provider>
  );
  const { rerender } = render(notices(null));
  fireEvent.click(screen.getByText('Do it all the same'));
  // Too short a reason is said so, and is none.
  fireEvent.change(screen.getByLabelText('Or in your own words'), { target: { value: 'so' } });
  fireEvent.click(screen.getAllByText('Do it all the same').at(-1)!);
  expect(screen.getByText('Say why, in a few words.')).toBeTruthy();
  expect(onOverrule).not.toHaveBeenCalled();
  // Half typed it is kept like any form, until it is done.
  expect(store.getState().drafts['overrule:acrylic-over-oil']?.draft).toBe('so');
  fireEvent.click(screen.getByText('a test piece'));
  const buttons = screen.getAllByText('Do it all the same');
  fireEvent.click(buttons.at(-1)!);
  expect(onOverrule).toHaveBeenCalledWith('acrylic-over-oil', 'a test piece');
  expect(store.getState().drafts).toEqual({});
  rerender(notices('a test piece'));
  expect(screen.getByText('Overruled: a test piece')).toBeTruthy();
  fireEvent.click(screen.getByText('Keep to the rule'));
  expect(onOverrule).toHaveBeenLastCalledWith('acrylic-over-oil', null);
});
