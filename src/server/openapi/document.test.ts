import fs from 'node:fs';
import path from 'node:path';
import addFormats from 'ajv-formats';
import Ajv2020 from 'ajv/dist/2020';
import { KNOWN_ROUTES } from '../access/routeTable';
import { openApiDocument } from './document';
import { fieldWords } from './fields';
import words from './fields.json';

interface Shown {
  tags: string[];
  summary: string;
  description: string;
  requestBody?: { content: Record<string, { schema?: object; example?: unknown }> };
  responses: Record<string, { content: Record<string, { schema?: object; example?: unknown }> }>;
}
const document = openApiDocument('1.2.3') as unknown as {
  paths: Record<string, Record<string, Shown>>;
  components: { schemas: Record<string, object> };
};
const operations = KNOWN_ROUTES.map(({ name, method, path: address }) => ({
  name,
  operation: document.paths[address.replace(/:(\w+)/g, '{$1}')]?.[method] as Shown,
}));

/** @source OpenAPI Initiative, JSON Schema of the OpenAPI Specification 3.1, as shipped by the package named here */
const STANDARD = path.join(
  path.dirname(require.resolve('@seriousme/openapi-schema-validator/package.json')),
  'schemas/v3.1/schema.json',
);

describe('the API, told to those who write scripts', () => {
  it('is OpenAPI 3.1, by the schema of its standard', () => {
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(
      JSON.parse(fs.readFileSync(STANDARD, 'utf8')),
    );
    validate(document);
    expect(validate.errors).toBeNull();
  });

  it.each(operations)('$name has its place, a sentence, and who may ask', ({ operation }) => {
    expect(operation.tags).toHaveLength(1);
    expect(operation.summary).toMatch(/^\p{Lu}.*[.)]$/su);
    expect(operation.description).toMatch(/may ask\.$|^For /);
  });

  it('describes no field that there is not', () => {
    const text = JSON.stringify(document);
    expect(Object.keys(words).filter((name) => !text.includes(`"${name}"`))).toEqual([]);
  });

  it('shows examples that its own schemas admit, by another reader of JSON Schema', () => {
    const ajv = addFormats(new Ajv2020({ strict: false, schemas: [{ $id: 'api', ...document }] }));
    const wrong = operations.flatMap(({ name, operation: { requestBody, responses } }) =>
      [requestBody?.content, ...Object.values(responses).map(({ content }) => content)].flatMap((content) => {
        const { schema, example } = content?.['application/json'] ?? {};
        if (schema === undefined || example === undefined) return [];
        const text = JSON.stringify(schema).replaceAll('"#/components', '"api#/components');
        const validate = ajv.compile(JSON.parse(text));
        return validate(example) ? [] : [`${name}: ${ajv.errorsText(validate.errors)}`];
      }),
    );
    expect(wrong).toEqual([]);
  });

  it.each([
    ['legSpanMm', { minimum: 0.5, maximum: 400 }, /fourth \(mm, from 0\.5 to 400\)\.$/],
    ['dampSharePct', { minimum: 0, maximum: 100 }, /in percent \(from 0 to 100\)\.$/],
    ['headCount', { minimum: 1, maximum: 1e6 }, /animals \(from 1 to 1,000,000\)\.$/],
    ['note', { maxLength: 2000 }, /\(at most 2000 letters\)\.$/],
    ['temperaturesC', { items: { minimum: -20, maximum: 60 } }, /\(C, from -20 to 60\)\.$/],
    ['nobodyNamedThis', {}, /^undefined$/],
  ])('a field says what it is, in which unit, and from where to where: %s', (name, schema, said) => {
    expect(String(fieldWords(name, schema))).toMatch(said);
  });
});
