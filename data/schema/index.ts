export { district, school, shared, taken } from './schools';
export * from './people';
export { change } from './changes';
export * from './games';
export * from './kits';
export * from './lending';
export * from './listening';
export * from './words';
export * from './print';
