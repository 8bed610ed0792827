<!-- How to read the cords, in one line. -->
<script lang="ts">
	const prefix = $props.id();
</script>

<ul class="legend">
	<li>
		<svg width="34" height="14" aria-hidden="true"><rect class="thick" x="1" y="2" width="32" height="10" rx="5" /></svg
		>on heat
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true">
			<defs>
				<pattern id="{prefix}-h" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
					<rect width="2.6" height="7" class="stripe" />
				</pattern>
			</defs>
			<rect class="thick" x="1" y="2" width="32" height="10" rx="5" />
			<rect x="1" y="2" width="32" height="10" rx="5" fill="url(#{prefix}-h)" />
		</svg>hands all the time
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true">
			<rect class="thick" x="1" y="2" width="32" height="10" rx="5" />
			<rect class="held" x="1" y="2" width="32" height="10" rx="5" fill="url(#{prefix}-h)" />
		</svg>cannot be left
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true"
			><rect class="hollow" x="2" y="2" width="30" height="10" rx="5" /></svg
		>resting, chilling
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true"><path class="dots" d="M2 7H32" /></svg>waiting
	</li>
	<li>
		<svg width="14" height="14" aria-hidden="true"><circle class="bead" cx="7" cy="7" r="4.2" /></svg>a touch
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true"><rect class="slack" x="1" y="6" width="32" height="3" /></svg>may be
		later
	</li>
	<li>
		<svg width="34" height="14" aria-hidden="true"><rect class="tight" x="1" y="6" width="32" height="3" /></svg>may not
	</li>
</ul>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-4);
		color: var(--ink-soft);
		font-size: var(--text-xs);
	}
	li {
		display: inline-flex;
		align-items: center;
		gap: var(--space-1);
	}
	.held {
		stroke: var(--ink);
		stroke-width: 1.8;
	}
	.thick {
		fill: var(--ink-soft);
	}
	.stripe {
		fill: var(--enamel);
		fill-opacity: 0.72;
	}
	.hollow {
		fill: var(--enamel);
		stroke: var(--ink-soft);
		stroke-width: 2.2;
	}
	.dots {
		stroke: var(--ink-soft);
		stroke-width: 2.4;
		stroke-dasharray: 0.1 5.5;
		stroke-linecap: round;
	}
	.slack {
		fill: var(--herb-fill);
	}
	.tight {
		fill: var(--alarm);
	}
	.bead {
		fill: var(--saffron);
		stroke: #14201d;
		stroke-width: 1.4;
	}
</style>
