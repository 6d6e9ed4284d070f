import type { z } from 'zod';
import { useForm } from '@/forms';

/**
 * What is half done on a picture: kept as a draft, over a reload too, until it is done. The schema is the same that will
 * read it again.
 */
export function useKept<T extends object>(
  key: string,
  schema: z.ZodType<T>,
  begins: T,
): { value: T; set(next: T): void; done(): void } {
  const form = useForm({ key, schema, document: begins, isNew: true });
  return {
    value: form.value ?? begins,
    set: (next) => form.set(() => next as never),
    done: form.throwAway,
  };
}
