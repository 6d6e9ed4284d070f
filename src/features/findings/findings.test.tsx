import { fireEvent, render, screen } from '@testing-library/react';
import type { Finding } from '@/core/rules';
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

test('a refusal says why, what to do and whence; what is to know is folded away', () => {
  render(
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
  fireEvent.click(screen.getByText('To know: 1'));
  expect(screen.getByText(/^To know\. Oil on acrylic ground/)).toBeTruthy();
});

test('a wait is told with its day', () => {
  const untilMs = NOW + 3 * 86_400_000;
  render(
    <FindingNotices
      nowMs={NOW}
      findings={[finding({ rule: 'oil-over-acrylic-paint', severity: 'caution', untilMs })]}
    />,
  );
  expect(screen.getByText(/From about Fri 20/)).toBeTruthy();
});

test('going against a rule takes a reason, and can be taken back', () => {
  const onOverrule = jest.fn();
  const { rerender } = render(
    <FindingNotices nowMs={NOW} findings={[finding({})]} onOverrule={onOverrule} />,
  );
  fireEvent.click(screen.getByText('Do it all the same'));
  fireEvent.click(screen.getByText('a test piece'));
  const buttons = screen.getAllByText('Do it all the same');
  fireEvent.click(buttons.at(-1)!);
  expect(onOverrule).toHaveBeenCalledWith('acrylic-over-oil', 'a test piece');
  rerender(
    <FindingNotices
      nowMs={NOW}
      findings={[finding({ overruled: 'a test piece' })]}
      onOverrule={onOverrule}
    />,
  );
  expect(screen.getByText('Overruled: a test piece')).toBeTruthy();
  fireEvent.click(screen.getByText('Keep to the rule'));
  expect(onOverrule).toHaveBeenLastCalledWith('acrylic-over-oil', null);
});
