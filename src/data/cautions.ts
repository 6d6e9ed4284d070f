/** The usual cautions of the trade, in plain words. None of them says that anything is safe. */
export const GOVERNS = 'The safety data sheet and local rules govern.';

/** By metal; common practice and the notes of usual safety data sheets; from memory. */
export const METAL_CAUTIONS: Record<string, string> = {
  lead: 'Lead builds up in the body: no fingers in the paint, no food beside it, no dust; not with children about or in pregnancy.',
  cadmium:
    'Cadmium: no spraying, no sanding, no burning; keep it off the fingers and out of the drain.',
  cobalt: 'Cobalt can sensitise the skin: nitrile gloves, no dust.',
  manganese:
    'Manganese dust and repeated swallowing harm the nerves: no sanding; not in pregnancy.',
  mercury: 'Mercury: no heating, no dust; not with children about or in pregnancy.',
  antimony: 'Antimony: no dust, no skin contact; not in pregnancy.',
  nickel: 'Nickel can sensitise the skin: nitrile gloves.',
};
