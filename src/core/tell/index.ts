export { isSunk } from '../painting/sunk';
export { findingsByRule, gravestByRule, type ToldFinding } from './findings';
export { isBroken, objects, pairNames, refusalOf, toldLayer, type ToldLayer } from './layer';
