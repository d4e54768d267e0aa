import type { Component } from 'svelte';
import type { Answer, Figure, ResponseSpec } from '$lib/core/items';

// What shows a question: a component for each kind of drawing, and one for each kind of answer. A browser loads those
// it meets. A page that shows questions calls `loadParts` in its `load`, so that they are drawn at once, by the server
// and by the browser alike.

export type DrawingComponent = Component<{ figure: Figure; words: string }>;
export type AnswerComponent = Component<
	{
		response: ResponseSpec;
		/** Texts escaped on the server. */
		optionsHtml: string[];
		leftHtml: string[];
		answer: Answer | null;
		disabled: boolean;
		onenter?: () => void;
	},
	object,
	'answer'
>;

/** A component that takes one kind of drawing or answer is only ever given that kind. */
type Loaders<Kind extends string> = Record<Kind, () => Promise<{ default: unknown }>>;

const DRAWINGS: Loaders<Figure['kind']> = {
	table: () => import('./figures/ValueTable.svelte'),
	clock: () => import('./figures/Clock.svelte'),
	plane: () => import('./figures/Plane.svelte'),
	crossing: () => import('./figures/Crossing.svelte'),
	parallels: () => import('./figures/Crossing.svelte'),
	tallies: () => import('./figures/Tallies.svelte'),
	pictures: () => import('./figures/Pictures.svelte'),
	bars: () => import('./figures/Bars.svelte'),
	histogram: () => import('./figures/Histogram.svelte'),
	'line graph': () => import('./figures/LineGraph.svelte'),
	'dot plot': () => import('./figures/DotPlot.svelte'),
	'box plot': () => import('./figures/BoxPlot.svelte'),
	scatter: () => import('./figures/Scatter.svelte'),
	ruler: () => import('./figures/Ruler.svelte'),
	scale: () => import('./figures/Scale.svelte'),
	coins: () => import('./figures/Coins.svelte'),
	blocks: () => import('./figures/Blocks.svelte'),
	dots: () => import('./figures/Dots.svelte'),
	grid: () => import('./figures/PartGrid.svelte'),
	row: () => import('./figures/ShapeRow.svelte'),
	stages: () => import('./figures/Stages.svelte'),
	line: () => import('./figures/MarkedLine.svelte'),
	jumps: () => import('./figures/Jumps.svelte'),
	parts: () => import('./figures/PartsBar.svelte'),
	product: () => import('./figures/ProductArea.svelte'),
	rectangle: () => import('./figures/Rectangle.svelte'),
	corner: () => import('./figures/CutCorner.svelte'),
	shape: () => import('./figures/Shape.svelte'),
	angle: () => import('./figures/SplitAngle.svelte'),
	turn: () => import('./figures/Turn.svelte'),
	circle: () => import('./figures/Circle.svelte'),
	solid: () => import('./figures/SolidShape.svelte'),
	box: () => import('./figures/Box.svelte'),
	net: () => import('./figures/Net.svelte'),
	triangle: () => import('./figures/Triangle.svelte')
};

const ANSWERS: Loaders<ResponseSpec['kind']> = {
	choice: () => import('./answers/Options.svelte'),
	several: () => import('./answers/Options.svelte'),
	order: () => import('./answers/PutInOrder.svelte'),
	match: () => import('./answers/MatchPairs.svelte'),
	number: () => import('./answers/TypedNumber.svelte'),
	fraction: () => import('./answers/TypedFraction.svelte'),
	expression: () => import('./answers/TypedExpression.svelte'),
	text: () => import('./answers/TypedText.svelte'),
	fill: () => import('./answers/FillBlanks.svelte'),
	line: () => import('./answers/PlaceOnLine.svelte'),
	shade: () => import('./answers/ShadeParts.svelte'),
	rectangle: () => import('./answers/BuildRectangle.svelte'),
	clock: () => import('./answers/SetClock.svelte'),
	plot: () => import('./answers/PlotPoint.svelte')
};

const drawings = new Map<Figure['kind'], DrawingComponent>();
const answers = new Map<ResponseSpec['kind'], AnswerComponent>();

/** The drawing of a kind once it is loaded. */
export const drawingOf = (kind: Figure['kind']) => drawings.get(kind);
/** The answer field of a kind once it is loaded. */
export const answerFieldOf = (kind: ResponseSpec['kind']) => answers.get(kind);

export async function loadDrawing(kind: Figure['kind']): Promise<DrawingComponent> {
	const drawing = (await DRAWINGS[kind]()).default as DrawingComponent;
	drawings.set(kind, drawing);
	return drawing;
}

export async function loadAnswerField(kind: ResponseSpec['kind']): Promise<AnswerComponent> {
	const field = (await ANSWERS[kind]()).default as AnswerComponent;
	answers.set(kind, field);
	return field;
}

/** Anything that is shown with drawings or an answer field: a question, its solution, a worked example. */
interface Shown {
	figure?: Figure;
	solutionFigure?: Figure;
	stepsFigure?: Figure;
	response?: ResponseSpec;
}

/** Loads whatever these questions are shown with. */
export async function loadParts(shown: readonly Shown[]): Promise<void> {
	const figures = shown.flatMap(({ figure, solutionFigure, stepsFigure }) => [figure, solutionFigure, stepsFigure]);
	const kinds = new Set(figures.flatMap((figure) => figure?.kind ?? []));
	const fields = new Set(shown.flatMap(({ response }) => response?.kind ?? []));
	await Promise.all([...[...kinds].map(loadDrawing), ...[...fields].map(loadAnswerField)]);
}
