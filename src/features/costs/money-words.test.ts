import { moneyWords } from './money-words';

test('amounts are written as the place writes them, and read with comma or point', () => {
  const euro = moneyWords('EUR', 'de-DE');
  // With the space that does not break.
  expect(euro.say(123_450)).toBe('1.234,50\u00a0€');
  expect(euro.read('1234,50')).toEqual({ minor: 123_450 });
  expect(euro.read('1234.5')).toEqual({ minor: 123_450 });
  expect(moneyWords(undefined, 'en-GB').say(123_450)).toBe('1,234.50');
});

test('another currency changes how an amount is written, not what it is', () => {
  const yen = moneyWords('JPY', 'en-GB');
  expect(yen.say(250_000)).toBe('¥2,500');
  expect(yen.read('2500')).toEqual(moneyWords('EUR', 'en-GB').read('2500'));
  expect(yen.show(250_000)).toBe('2500');
  expect(yen.show(250_050)).toBe('2500.50');
});

test('what is no amount is refused in words, below zero too', () => {
  const money = moneyWords('EUR', 'en-GB');
  expect(money.read('a lot')).toEqual({ problem: 'Write an amount such as 12.50.' });
  expect(money.read('-3')).toEqual({ problem: 'An amount cannot be below 0.' });
});
