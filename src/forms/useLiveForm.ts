import { useEffect, useRef } from 'react';
import { useForm, type Form, type FormOptions } from './useForm';

/**
 * A form without a button: a choice is written at once, a field when it is left, each as far as the whole is right.
 * What is not right yet stays as it was typed, with its reason, and is written once it is.
 */
export function useLiveForm<T extends object>(
  options: FormOptions<T>,
  write: (value: T) => void,
): Form<T> {
  const form = useForm(options);
  const due = useRef(false);
  useEffect(() => {
    if (!due.current) return;
    due.current = false;
    form.commit(write);
  });
  const soon = (): void => {
    due.current = true;
  };
  return {
    ...form,
    set(change, field) {
      soon();
      form.set(change, field);
    },
    put(path, value) {
      soon();
      form.put(path, value);
    },
    // Typing is not a change yet; leaving the field is.
    moment: (path) => leaving(form.moment(path), () => form.commit(write)),
    text: (path) => leaving(form.text(path), () => form.commit(write)),
    number: (path, as, empty) => leaving(form.number(path, as, empty), () => form.commit(write)),
  };
}

const leaving = <B extends { onBlur(): void }>(binding: B, left: () => void): B => ({
  ...binding,
  onBlur() {
    binding.onBlur();
    left();
  },
});
