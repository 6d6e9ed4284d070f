import { z } from 'zod';
import { plainWords } from '@/core/plain-words';

// The Content-Security-Policy forbids eval, which Zod would otherwise try. Imported wherever Zod may come in first.
// What a schema does not say itself is said in a painter's words.
z.config({ jitless: true, customError: plainWords });
