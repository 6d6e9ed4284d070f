import { fireEvent, render, screen } from '@testing-library/react';
import { FINDINGS } from '@/data/learning';
import { FingerSlabs } from './FingerSlabs';

test('six findings, in the order of drying, each with texture and word; one tap chooses', () => {
  const onChange = jest.fn();
  render(<FingerSlabs value="tacky" onChange={onChange} paint="#a06030" />);
  const slabs = screen.getAllByRole('radio');
  expect(slabs.map((s) => s.getAttribute('aria-label')!.split(':')[0])).toEqual([...FINDINGS]);
  expect(slabs.map((s) => s.getAttribute('aria-checked'))).toEqual(
    FINDINGS.map((f) => String(f === 'tacky')),
  );
  fireEvent.click(
    screen.getByRole('radio', { name: /^through-dry: a thumb twist on the witness/ }),
  );
  expect(onChange).toHaveBeenCalledWith('through-dry');
});
