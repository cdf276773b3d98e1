import type { TestServer } from './server.js';

interface Parameter {
  readonly name: string;
  readonly in: string;
}

export interface Operation {
  readonly parameters?: readonly Parameter[];
  readonly requestBody?: {
    readonly content?: Record<string, { readonly schema?: { readonly $ref?: string } }>;
  };
}

/** A request that the description of the API has. */
export interface Described {
  readonly path: string;
  readonly method: string;
  readonly operation: Operation;
  /** What stands in its path. */
  readonly inPath: readonly string[];
  /** What is asked in its address. */
  readonly inQuery: readonly string[];
}

/** The requests at a path, with what they have in common. */
interface AtPath {
  readonly parameters: readonly Parameter[];
  readonly [method: string]: unknown;
}

/** Every request that a server describes. */
export async function operationsOf(server: TestServer): Promise<readonly Described[]> {
  const { body } = await server.get('/api/docs-json').expect(200);
  const { paths } = body as { paths: Record<string, AtPath> };
  return Object.entries(paths).flatMap(([path, { parameters, ...methods }]) =>
    Object.entries(methods).map(([method, given]) => {
      const operation = given as Operation;
      const asked = (operation.parameters ?? []).filter((each) => each.in === 'query');
      return {
        ...{ path, method, operation },
        inPath: parameters.map(({ name }) => name),
        inQuery: asked.map(({ name }) => name),
      };
    }),
  );
}

/** The class of the body that a request takes. */
export const bodyClassOf = ({ requestBody }: Operation): string | undefined =>
  requestBody?.content?.['application/json']?.schema?.$ref?.split('/').at(-1);
