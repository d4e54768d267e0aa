import Type from 'typebox';
import { formCheck, idOf, idText } from '../request';

/** What forms about a set's students have in common. */
export const studentsForm = formCheck(Type.Object({ students: idText }));

/** The set that the address names; 0 for none. */
export const setOf = ({ params }: { params: Partial<Record<string, string>> }) => idOf(params.set) ?? 0;

export const UNSEEN = 'Some of these students are not yours to see';
