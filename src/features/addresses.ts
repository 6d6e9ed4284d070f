/** The addresses inside the studio, in one place. */
const part = encodeURIComponent;

export const paintingAddress = (id: string) => `/paintings/${part(id)}` as const;
export const aboutAddress = (id: string) => `/paintings/${part(id)}/about` as const;
/** The painting looked at on its photos. */
export const lookAddress = (id: string) => `/paintings/${part(id)}/look` as const;
export const passageAddress = (id: string, passageId: string) =>
  `/paintings/${part(id)}/${part(passageId)}` as const;
export const coatAddress = (id: string, coatId: string) =>
  `/paintings/${part(id)}/coats/${part(coatId)}` as const;
export const cabinetPaintAddress = (id: string) => `/cabinet/paints/${part(id)}` as const;
export const cabinetMediumAddress = (id: string) => `/cabinet/mediums/${part(id)}` as const;
export const touchAddress = (id: string, passageId: string) =>
  `/touch?painting=${part(id)}&passage=${part(passageId)}` as const;
export const sessionAddress = (id: string) => `/log/${part(id)}` as const;
/** The glaze bench, over a passage, with the mix of one of its coats. */
export const glazeAddress = (id: string, passageId: string, coatId?: string) =>
  `/bench/glaze?painting=${part(id)}&passage=${part(passageId)}${coatId ? `&coat=${part(coatId)}` : ''}` as const;
export const finishAddress = (id: string) => `/paintings/${part(id)}/finish` as const;
export const papersAddress = (id: string) => `/paintings/${part(id)}/papers` as const;
export const costsAddress = (id: string) => `/paintings/${part(id)}/costs` as const;
/** The air of the room, with what was laid in a session. */
export const airAddress = (sessionId: string) => `/air?session=${part(sessionId)}` as const;
