// What a time is a record of, over all evenings.
import type { Step } from './technique';

/** Records of plating, and of washing up in between. */
export const platingKey = 'plate';
const washKey = 'wash';

/** Handwork of one kind is one, whatever is made of it; any other step is one of its technique, its batches and all. */
export function recordKey(technique: string, { id, time }: Pick<Step, 'id' | 'time'>): string {
	if (time.model?.kind === 'knife') return `knife ${time.model.task}`;
	if (time.model?.kind === 'pieces') return `piece ${time.model.task}`;
	if (id.startsWith('wash-')) return washKey;
	return `${technique}/${id.replace(/-b\d+$/, '')}`;
}
