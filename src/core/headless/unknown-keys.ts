import { z } from 'zod';

/** As much of a JSON schema as is asked here. */
interface Shape {
  properties?: Record<string, Shape>;
  additionalProperties?: Shape | boolean;
  items?: Shape;
  prefixItems?: Shape[];
  anyOf?: Shape[];
  oneOf?: Shape[];
  allOf?: Shape[];
}

/** The shapes that a value may have, unions laid open. */
const branches = (shape: Shape): Shape[] => {
  const inner = [...(shape.anyOf ?? []), ...(shape.oneOf ?? []), ...(shape.allOf ?? [])];
  return inner.length === 0 ? [shape] : inner.flatMap(branches);
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A key that no schema knows: where it stands, and what may stand there. */
export interface UnknownKey {
  where: string;
  known: string[];
}

function find(shapes: Shape[], value: unknown, where: string[]): UnknownKey | null {
  if (Array.isArray(value)) {
    for (const [i, item] of value.entries()) {
      const inner = shapes.flatMap((s) => s.prefixItems?.[i] ?? s.items ?? []).flatMap(branches);
      const found = inner.length > 0 ? find(inner, item, [...where, String(i)]) : null;
      if (found) return found;
    }
    return null;
  }
  if (!isObject(value)) return null;
  const objects = shapes.filter((s) => s.properties || s.additionalProperties);
  if (objects.length === 0) return null;
  for (const [key, item] of Object.entries(value)) {
    const inner = objects.flatMap((s): Shape[] => {
      const own = s.properties?.[key];
      if (own) return branches(own);
      const any = s.additionalProperties;
      return any === true ? [{}] : isObject(any) ? branches(any as Shape) : [];
    });
    if (inner.length === 0)
      return {
        where: [...where, key].join('.'),
        known: [...new Set(objects.flatMap((s) => Object.keys(s.properties ?? {})))],
      };
    const found = find(inner, item, [...where, key]);
    if (found) return found;
  }
  return null;
}

/** The first key of an input that its schema does not know; null where it knows all. A mistyped key would be passed over. */
export const unknownKey = (schema: z.ZodType, input: unknown): UnknownKey | null =>
  find(
    branches(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Shape),
    input,
    [],
  );
