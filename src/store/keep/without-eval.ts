import { z } from 'zod';

// The Content-Security-Policy forbids eval, which Zod would otherwise try. Imported wherever Zod may come in first.
z.config({ jitless: true });
