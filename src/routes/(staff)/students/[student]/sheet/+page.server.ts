import {
	answerAction,
	letterAction,
	putBackLetterAction,
	takeBackLetterAction,
	wordsAction
} from '$lib/server/reports/sheetForm';
import { sheetPage } from '$lib/server/reports/sheetPage';

export const load = ({ locals, url, params }) => sheetPage(locals, url, params);

export const actions = {
	words: wordsAction,
	letter: letterAction,
	answer: answerAction,
	takeBackLetter: takeBackLetterAction,
	putBackLetter: putBackLetterAction
};
