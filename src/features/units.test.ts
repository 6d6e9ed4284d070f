import { celsiusOf, degreesWords, inDegrees, shownTemperature, temperatureWords } from './units';

// Fixed points of the two scales, by definition.
test.each([
  [0, 32],
  [100, 212],
  [-40, -40],
  [37, 98.6],
])('%f °C are %f °F, there and back', (celsius, fahrenheit) => {
  expect(shownTemperature(celsius, 'F')).toBeCloseTo(fahrenheit, 9);
  expect(celsiusOf(fahrenheit, 'F')).toBeCloseTo(celsius, 9);
  expect([shownTemperature(celsius, 'C'), celsiusOf(celsius, 'C')]).toEqual([celsius, celsius]);
});

test('in words, alone, as a difference, and where they stand in a sentence', () => {
  expect([temperatureWords(18.5, 'C'), temperatureWords(18.5, 'F')]).toEqual([
    '18.5 °C',
    '65.3 °F',
  ]);
  expect([degreesWords(2, 'C'), degreesWords(2, 'F')]).toEqual(['2 °C', '3.6 °F']);
  const wax = 'Wax softens at 35 to 45 °C and stays soluble.';
  expect(inDegrees(wax, 'F')).toBe('Wax softens at 95 to 113 °F and stays soluble.');
  expect(inDegrees('Acrylic below 10 °C', 'F')).toBe('Acrylic below 50 °F');
  expect(inDegrees(wax, 'C')).toBe(wax);
});
