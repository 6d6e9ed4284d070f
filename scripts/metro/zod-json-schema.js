/** In place of Zod's writer of JSON Schema: every schema names these, and the application never calls them. */
const never = () => {
  throw new Error('JSON Schema is written by the command line, not by the application.');
};
exports.createToJSONSchemaMethod = () => never;
exports.createStandardJSONSchemaMethod = () => never;
