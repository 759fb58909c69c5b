import { fieldTable } from '@north-pane/core/document';

/** The page of docs that lists every field of the document, made from their declarations. */
export function fieldsPage(): string {
  return `# Fields of the job document

Written by \`npm run fields\` from where each field is declared (\`core/src/document/*Fields.ts\`, \`schema.ts\`). \`*\` stands for an id. Fields of a
heater's own kind stand in its folder (\`core/src/families/<kind>/parameters.ts\`). SI throughout; the last column says which results are worked out anew.

${fieldTable()}
`;
}
