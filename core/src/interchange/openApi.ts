import Joi from 'joi';
import {
  OPERATIONS,
  paramNames,
  type AnsweringName,
  type Operation,
  type OperationName,
  type SendingName,
} from '../operations/index.ts';
import { ANSWERS, errorSchema } from './answerSchemas.ts';
import { DOES } from './operationWords.ts';
import { headSchemas, SENT } from './sentSchemas.ts';
import { jsonSchemaOf, type JsonSchema } from './schema/jsonSchema.ts';

const pointTo = (name: string): string => `#/components/schemas/${name}`;
const NAMES = Object.keys(OPERATIONS) as OperationName[];

/** What is about the server itself. */
const isOfServer = (name: OperationName): boolean => ['health', 'description', 'docs'].includes(name);

/** Whether an operation is known by a write id and a person. */
const hasHead = ({ method, asks }: Operation): boolean => method !== 'GET' && asks !== true;

const ownSent = (name: OperationName): Joi.SchemaMap => (name in SENT ? { ...SENT[name as SendingName] } : {});
const answerOf = (name: OperationName): Joi.Schema =>
  name in ANSWERS ? ANSWERS[name as AnsweringName] : Joi.string().allow('');

/** The body of an operation, as it is checked: its own fields and its head. */
export const sentSchema = (name: OperationName): Joi.ObjectSchema =>
  Joi.object({ ...(hasHead(OPERATIONS[name]) ? headSchemas : {}), ...ownSent(name) });

/**
 * The interface of the server as OpenAPI 3.1, made from the operations and the schemas by which they are checked.
 * @param version of the application
 */
export function openApi(version: string): JsonSchema {
  const named = new Map<string, JsonSchema>();
  const schemaOf = (schema: Joi.Schema): JsonSchema => jsonSchemaOf(schema, pointTo, named).schema;
  const json = (schema: Joi.Schema): JsonSchema => ({ 'application/json': { schema: schemaOf(schema) } });

  const parameter = (name: string, where: 'path' | 'query', schema: JsonSchema, required: boolean): JsonSchema => ({
    name,
    in: where,
    required,
    schema,
  });
  const inQuery = (name: OperationName): JsonSchema[] =>
    Object.entries(sentSchema(name).describe().keys as Record<string, { flags?: { presence?: string } }>).map(
      ([key, described]) =>
        parameter(key, 'query', schemaOf(sentSchema(name).extract(key)), described.flags?.presence === 'required'),
    );

  const pathOf = ({ path }: Operation): string => path.replace(/:([A-Za-z]+)/g, '{$1}');
  const describeOne = (name: OperationName): JsonSchema => {
    const operation: Operation = OPERATIONS[name];
    const isInQuery = operation.method === 'GET' || operation.takes !== undefined;
    const binary = { schema: { type: 'string', format: 'binary' } };
    return {
      operationId: name,
      summary: DOES[name],
      tags: [isOfServer(name) ? 'server' : operation.path.split('/')[1]],
      parameters: [
        ...paramNames(operation.path).map((key) => parameter(key, 'path', { type: 'string' }, true)),
        ...(isInQuery ? inQuery(name) : []),
      ],
      ...(operation.takes
        ? {
            requestBody: {
              required: true,
              content: Object.fromEntries(operation.takes.map((type) => [type, binary])),
            },
          }
        : isInQuery
          ? {}
          : { requestBody: { required: true, content: json(sentSchema(name)) } }),
      responses: {
        [operation.status]: {
          description: DOES[name],
          content: operation.gives === undefined ? json(answerOf(name)) : { [operation.gives]: binary },
        },
        default: { description: 'What stands in the way, and what to do.', content: json(errorSchema) },
      },
    };
  };

  const paths: Record<string, Record<string, JsonSchema>> = {};
  for (const name of NAMES) {
    const operation: Operation = OPERATIONS[name];
    (paths[pathOf(operation)] ??= {})[operation.method.toLowerCase()] = describeOne(name);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Mendum',
      version,
      description:
        'Plans, guides, proves and records the repair of damaged wiring harnesses. ' +
        'Lengths in mm, areas in mm², currents in A, temperatures in °C. ' +
        'A write carries its own id (`writeId`) and who does it (`by`): sent twice, it is done once. ' +
        'Where people sign in, what is done bears the name of whoever is signed in, whatever `by` says.',
    },
    servers: [{ url: '/api' }],
    paths,
    components: { schemas: Object.fromEntries([...named].sort(([a], [b]) => a.localeCompare(b))) },
  };
}
