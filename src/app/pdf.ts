/** Bytes of a PDF, to be looked at in the browser and saved under a name. */
export function pdf(bytes: Uint8Array, name: string): Response {
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
    },
  });
}
