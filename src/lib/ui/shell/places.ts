// The places of the application, in the order in which cooks work.
import ChefHat from '@lucide/svelte/icons/chef-hat';
import ClipboardList from '@lucide/svelte/icons/clipboard-list';
import FlaskConical from '@lucide/svelte/icons/flask-conical';
import NotebookPen from '@lucide/svelte/icons/notebook-pen';
import Spline from '@lucide/svelte/icons/spline';
import Warehouse from '@lucide/svelte/icons/warehouse';

export const places = [
	{ path: '/menu', name: 'Menu', key: 'm', icon: ClipboardList },
	{ path: '/kitchen', name: 'Kitchen', key: 'k', icon: Warehouse },
	{ path: '/plan', name: 'Plan', key: 'p', icon: Spline },
	{ path: '/cook', name: 'Cook', key: 'c', icon: ChefHat },
	{ path: '/record', name: 'Record', key: 'r', icon: NotebookPen },
	{ path: '/bench', name: 'Bench', key: 'b', icon: FlaskConical }
] as const;
