// An answer of the Bench in the cook's own units: its figures, its curves, its drawing, its reason.
import type { Answer, Chart } from '../questions/question';
import { shownIn, type Measure } from '../units/amount';
import { inUnits } from './quantities';

/** An answer as it is shown. One whose matter is units stays as it is. */
export function speakAnswer(answer: Answer, measure: Measure): Answer {
	if (answer.isAboutUnits === true) return answer;
	const spoken = (text: string) => inUnits(text, measure);
	return {
		...answer,
		lines: answer.lines.map((l) => ({ say: spoken(l.say), value: spoken(l.value) })),
		cautions: answer.cautions.map(spoken),
		reason: spoken(answer.reason),
		...(answer.trouble === undefined ? {} : { trouble: spoken(answer.trouble) }),
		...(answer.chart ? { chart: speakChart(answer.chart, measure) } : {}),
		...(answer.drawing ? { drawing: { ...answer.drawing, say: spoken(answer.drawing.say) } } : {})
	};
}

function speakChart(chart: Chart, measure: Measure): Chart {
	const [x, y] = [shownIn(chart.x, measure), shownIn(chart.y, measure)];
	const along = (values: readonly number[], { times, plus }: typeof x) => values.map((v) => v * times + plus);
	return {
		x: x.unit,
		y: y.unit,
		curves: chart.curves.map((c) => ({ ...c, x: along(c.x, x), y: along(c.y, y), name: inUnits(c.name, measure) })),
		marks: chart.marks.map((m) => ({
			x: m.x * x.times + x.plus,
			y: m.y * y.times + y.plus,
			say: inUnits(m.say, measure)
		}))
	};
}
