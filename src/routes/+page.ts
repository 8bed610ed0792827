// The first visit opens on the plan.
import { redirect } from '@sveltejs/kit';

export const load = () => redirect(307, '/plan');
