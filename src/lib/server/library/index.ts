/** The library: skills and frameworks, standards, materials, and finding them. */
export { findInLibrary } from './finder';
export { type SampleItem, sampleItems, staffItem } from './sampleItems';
export { itemsAsked, keepItems } from './store/askedItems';
export { EMPHASIS_GRADES, schoolEmphasis, setEmphasis } from './store/emphasis';
export { changeFramework, taughtFramework } from './store/frameworks';
export {
	addMaterial,
	hideMaterial,
	importStandards,
	libraryRevision,
	materialsFor,
	shelfOf,
	shelve,
	standardsOfSkill
} from './store/library';
export { type Domain, domainList, type Skill, skillGraph, skillList, subjectList } from './store/skills';
