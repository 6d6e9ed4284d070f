import { expose } from 'comlink';
import { z } from 'zod';
import { PLANNER } from './planner';

// The Content-Security-Policy forbids eval, which Zod would otherwise try.
z.config({ jitless: true });

expose(PLANNER);
