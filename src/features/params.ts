import { useLocalSearchParams } from 'expo-router';

const LONGEST = 120;

/**
 * A parameter of the address. A missing or strange one becomes null, and the screen says that the thing is not there.
 * Looked at without a schema: addresses are read before the schemas have come.
 */
export function useParam(name: string): string | null {
  const raw = useLocalSearchParams()[name];
  const text = Array.isArray(raw) ? raw[0] : raw;
  return typeof text === 'string' && text.length > 0 && text.length <= LONGEST && !(text in {})
    ? text
    : null;
}
