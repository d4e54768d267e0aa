export * from './itemResponse';
export * from './ability';
export * from './scale';
export * from './trust';
