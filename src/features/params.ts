import { useLocalSearchParams } from 'expo-router';
import { z } from 'zod';

const text = z.string().min(1).max(120);

/** Route parameters, checked. Missing or strange ones become null, and the screen says the thing is not there. */
export function useParam(name: string): string | null {
  const raw = useLocalSearchParams()[name];
  const parsed = text.safeParse(Array.isArray(raw) ? raw[0] : raw);
  return parsed.success ? parsed.data : null;
}
