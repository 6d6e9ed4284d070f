export { CLEAR_MEDIUM, mixColour } from './mix-colour';
