// Before the page starts: schemas are interpreted, not compiled, as the content security policy allows no eval.
import { config } from 'zod';

config({ jitless: true });
