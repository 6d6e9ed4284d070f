import { CoreError } from '../errors';

/** The code with which something is refused; 'accepted' where it is not. Anything else that is thrown goes on. */
export function refusal(f: () => unknown): string {
  try {
    f();
  } catch (error) {
    if (error instanceof CoreError) return error.code;
    throw error;
  }
  return 'accepted';
}
