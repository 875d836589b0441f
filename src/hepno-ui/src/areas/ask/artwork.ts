import { api, ask, makeId, type Schemas, seen } from '../../api/client'

export type Design = Schemas['DesignView']
export type Looked = Schemas['DesignLooked']

/** Kinds of picture that are taken. */
export const kinds = 'image/png,image/jpeg,image/svg+xml'

/** Sends a picture under an id: a new artwork, or another picture of the one it goes over. */
export async function sendPicture(
  id: string,
  file: File,
  widthIn: number,
  over: Design | undefined,
  progress: (share: number) => void,
): Promise<Design> {
  const timer = setInterval(() => {
    void ask(api.GET('/api/artwork/{id}/progress', { params: { path: { id } } }))
      .then((p) => p.share !== null && progress(p.share))
      .catch(() => undefined)
  }, 300)
  return ask(
    api.PUT('/api/artwork/{id}/file', {
      params: {
        path: { id },
        query: { name: file.name.replace(/\.[^.]*$/, ''), widthIn },
      },
      body: file as never,
      bodySerializer: (picture: unknown) => picture as File,
      // the type is decided by what is in it; a name without one is tried as PNG
      headers: { 'Content-Type': file.type || 'image/png', ...(over ? seen(over.version).headers : {}) },
    }),
  ).finally(() => clearInterval(timer))
}

/** Stops the measuring of a picture that is being sent; nothing of it is kept. */
export const stopPicture = (id: string) =>
  api.DELETE('/api/artwork/{id}/progress', { params: { path: { id } } }).then(() => undefined)

/** The artwork and how it looks at a width on a cloth. */
export async function lookAt(
  id: string,
  widthIn: number,
  styleId: string | null,
  colourwayId: string | null,
): Promise<{ design: Design; looked: Looked }> {
  const query = { widthIn, ...(styleId ? { styleId } : {}), ...(colourwayId ? { colourwayId } : {}) }
  const [design, looked] = await Promise.all([
    ask(api.GET('/api/artwork/{id}', { params: { path: { id } } })),
    ask(api.GET('/api/artwork/{id}/look', { params: { path: { id }, query } })),
  ])
  return { design, looked }
}

/** A square code of a link as an artwork of its own. */
export const makeCode = (text: string) =>
  ask(api.POST('/api/artwork/{id}/code', { params: { path: { id: makeId() } }, body: { text } }))

export const knockOut = (d: Design) =>
  ask(api.POST('/api/artwork/{id}/knock-out', { params: { path: { id: d.id } }, ...seen(d.version) }))

export const saveRights = (d: Design, rights: Design['rights'], nextTime = d.nextTime) =>
  ask(
    api.PUT('/api/artwork/{id}', {
      params: { path: { id: d.id } },
      body: { name: d.name, rights, nextTime },
      ...seen(d.version),
    }),
  )
