/** The OpenAPI document as it is sent. Its schemas are loaded where it is asked for: no other work of a thread needs them. */
export async function openApiText(version: string): Promise<string> {
  const { openApiDocument } = await import('../openapi/document');
  return JSON.stringify(openApiDocument(version));
}
