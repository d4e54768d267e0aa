/** Materials: notes, links, files, recorded messages and tasks that students are given, with a set or without. */
export { fileOf } from './fileOf';
export { makeMaterial } from './makeMaterial';
export { filePart, type KeptFile, PART_BYTES, schoolFiles } from './store/files';
export { givenToStudent, seeMaterial, shownMaterials } from './store/given';
export { copySkillMaterial } from './store/materials';
