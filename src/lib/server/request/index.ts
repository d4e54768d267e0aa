/** What comes in: who asks and may what, the time, and addresses, forms and files read within limits and checked. */
export { dayIn, FIRST_ROWS, idIn, idOf, idsIn, numberIn, oneIn, textIn, typedIn } from './address';
export { clientAddress } from './clientAddress';
export { now } from './clock';
export { readFile } from './files';
export { UnreadableFile } from './files/limits';
export { fileForm, longForm } from './formFields';
export { randomCode } from './randomCode';
export { isStandin } from './standin';
export { streamOf } from './streamOf';
export { studentContext } from './studentContext';
export {
	formCheck,
	type FormCheck,
	id,
	idList,
	idsOf,
	idText,
	jsonCheck,
	jsonIn,
	oneOf,
	readForm,
	readJson,
	schoolDate
} from './validate';
export { LONGEST_LINK, webAddress } from './webAddress';
export {
	type Action,
	may,
	type Role,
	type SignedInStudent,
	signsInBy,
	type Staff,
	undoesAll,
	type Viewer,
	type VisibleId
} from './viewer';
