import type { ResponseFormat } from '../../core/measurement';

/** How a question is answered, as `sitting_item` keeps it. */
export interface StoredFormat {
	answerKind: ResponseFormat['kind'];
	/** Of how many options one is chosen; null where none are shown. */
	options: number | null;
}

export const formatFrom = ({ answerKind, options }: StoredFormat): ResponseFormat =>
	options === null ? { kind: answerKind } : { kind: answerKind, options };
