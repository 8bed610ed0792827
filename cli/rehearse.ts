// npm run --silent rehearse -- cases.json: how likely plans are, as `docs/rehearse.md` defines it.
import { answering, readCase } from '$lib/core/rehearse/cases';
import { commandOnCases } from './command';

commandOnCases('rehearse', (data) => {
	const read = readCase(data);
	if (!read.ok) return read;
	const stream = answering(read.value, () => performance.now());
	for (;;) {
		const step = stream.next();
		if (step.done) return { ok: true, value: step.value };
	}
});
