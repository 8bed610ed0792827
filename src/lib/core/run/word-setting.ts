// What to set an oven to, in words.
import type { PlannedStep } from '../model/plan';

/** What an oven is set to; where its knob is off, also how hot it is then. */
export function wordSetting({ setting = 0, knob }: Pick<PlannedStep, 'setting' | 'knob'>): string {
	return knob === undefined ? `${setting} °C` : `${knob} °C, which is ${setting} °C inside`;
}
