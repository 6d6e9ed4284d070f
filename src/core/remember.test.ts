import { remember, rememberedCounts, rememberLast } from './remember';

test('a result is worked out once for as long as its argument lives', () => {
  const compute = jest.fn((key: { n: number }) => key.n * 2);
  const twice = remember('test doubles', compute);
  const key = { n: 21 };
  expect([twice(key), twice(key), twice({ n: 21 })]).toEqual([42, 42, 42]);
  expect(compute).toHaveBeenCalledTimes(2);
  expect(rememberedCounts()['test doubles']).toEqual({ made: 2, known: 1 });
});

test('a result of null or undefined is remembered too', () => {
  const compute = jest.fn((_key: object) => undefined);
  const nothing = remember('test nothing', compute);
  const key = {};
  nothing(key);
  nothing(key);
  expect(compute).toHaveBeenCalledTimes(1);
});

test('what throws is not remembered', () => {
  let fails = true;
  const shy = remember('test shy', (_key: object) => {
    if (fails) throw new Error('not yet');
    return 'now';
  });
  const key = {};
  expect(() => shy(key)).toThrow('not yet');
  fails = false;
  expect(shy(key)).toBe('now');
});

test('of looks at one document only the last is kept', () => {
  const compute = jest.fn((key: { n: number }, by: number) => key.n * by);
  const times = rememberLast('test products', compute);
  const key = { n: 3 };
  expect([times(key, 2), times(key, 2), times(key, 5), times(key, 2)]).toEqual([6, 6, 15, 6]);
  expect(compute).toHaveBeenCalledTimes(3);
});

test('two looks are the same where the caller says so', () => {
  const compute = jest.fn((_key: object, look: { climate: string; at: number }) => look.climate);
  const seen = rememberLast('test looks', compute, (a, b) => a.climate === b.climate);
  const key = {};
  seen(key, { climate: 'cold', at: 1 });
  seen(key, { climate: 'cold', at: 2 });
  seen(key, { climate: 'warm', at: 2 });
  expect(compute).toHaveBeenCalledTimes(2);
});
