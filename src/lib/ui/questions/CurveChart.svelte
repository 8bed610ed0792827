<!-- Curves over time, with the instants that matter marked. Plotly comes when the first chart is opened. -->
<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import type { Chart } from '../../core/questions/question';

	interface Props {
		chart: Chart;
		/** What it shows, for those who cannot see it. */
		label: string;
	}
	const { chart, label }: Props = $props();

	const tones = { hot: '--copper', core: '--ink', cold: '--tone-3', faint: '--ink-soft' } as const;
	const dashes = { hot: 'solid', core: 'solid', cold: 'solid', faint: 'dot' } as const;
	let isThere = $state(false);

	/** Draw, and draw again when the chart changes; nothing is left behind. */
	function plot(shown: Chart): Attachment<HTMLElement> {
		return (node) => {
			let isGone = false;
			let purge: (() => void) | undefined;
			void import('plotly.js-cartesian-dist-min').then(async ({ default: Plotly }) => {
				if (isGone) return;
				purge = () => {
					Plotly.purge(node);
				};
				const style = getComputedStyle(node);
				const colour = (name: string) => {
					// A probe gives the colour as the theme has it, not as the token is written.
					const probe = document.createElement('span');
					probe.style.color = `var(${name})`;
					node.append(probe);
					const value = getComputedStyle(probe).color;
					probe.remove();
					return value;
				};
				const axis = { gridcolor: colour('--rim'), zeroline: false, color: colour('--ink-soft') };
				await Plotly.react(
					node,
					[
						...shown.curves.map((c) => ({
							x: [...c.x],
							y: [...c.y],
							name: c.name,
							mode: 'lines' as const,
							line: { color: colour(tones[c.tone]), width: c.tone === 'faint' ? 2 : 3, dash: dashes[c.tone] }
						})),
						{
							x: shown.marks.map((m) => m.x),
							y: shown.marks.map((m) => m.y),
							text: shown.marks.map((m) => m.say),
							mode: 'text+markers' as const,
							textposition: 'top center' as const,
							marker: { color: colour('--saffron'), size: 10, line: { color: colour('--ink'), width: 1.5 } },
							showlegend: false,
							hoverinfo: 'text' as const
						}
					],
					{
						margin: { l: 52, r: 16, t: 24, b: 44 },
						paper_bgcolor: 'transparent',
						plot_bgcolor: 'transparent',
						font: { family: style.fontFamily, size: 13, color: colour('--ink') },
						xaxis: { ...axis, title: { text: shown.x } },
						yaxis: { ...axis, title: { text: shown.y } },
						legend: { orientation: 'h', y: 1.12, x: 0 },
						showlegend: shown.curves.length > 1
					},
					{ displayModeBar: false, responsive: true }
				);
				isThere = true;
			});
			return () => {
				isGone = true;
				purge?.();
			};
		};
	}
</script>

<figure>
	<div class="chart" data-drawn={isThere} {@attach plot(chart)}></div>
	<figcaption class="out-of-sight">{label}</figcaption>
</figure>

<style>
	.chart {
		width: 100%;
		height: 20rem;
	}
</style>
