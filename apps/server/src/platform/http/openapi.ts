import { applyDecorators, type INestApplication, type Type } from '@nestjs/common';
import {
  ApiBody,
  ApiOkResponse,
  ApiQuery,
  DocumentBuilder,
  SwaggerModule,
  type OpenAPIObject,
} from '@nestjs/swagger';
import { getMetadataStorage } from 'class-validator';
import { schemasUnder } from './schemas.js';

const SCHEMAS = '#/components/schemas/';

const schemaOf = (of: Type, isArray: boolean) => {
  const reference = { $ref: `${SCHEMAS}${of.name}` };
  return isArray ? { type: 'array', items: reference } : reference;
};

/** Documents a request body from its class-validator rules; the contract package does not know OpenAPI. */
export const Takes = (body: Type): MethodDecorator => ApiBody({ schema: schemaOf(body, false) });

/** Documents query parameters, from the same rules. */
export function Asks(query: Type): MethodDecorator {
  const rules = getMetadataStorage().getTargetValidationMetadatas(query, '', false, false);
  const mayLack = rules.filter(({ type }) => type === 'conditionalValidation');
  const names = [...new Set(rules.map(({ propertyName }) => propertyName))];
  return applyDecorators(
    ...names.map((name) =>
      ApiQuery({
        ...{ name, schema: { type: 'string' } },
        required: !mayLack.some(({ propertyName }) => propertyName === name),
      }),
    ),
  );
}

/** Documents the reply. */
export const Gives = (reply: Type, { each = false } = {}): MethodDecorator =>
  applyDecorators(ApiOkResponse({ schema: schemaOf(reply, each) }));

/** Adds path parameters, which the contract's classes do not describe for OpenAPI. */
function withPathParameters(paths: OpenAPIObject['paths']): OpenAPIObject['paths'] {
  const described = Object.entries(paths).map(([path, methods]) => {
    const parameters = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
      ...{ name, in: 'path' as const, required: true, schema: { type: 'string' } },
    }));
    return [path, { ...methods, parameters }] as const;
  });
  return Object.fromEntries(described);
}

/** Serves the API's documentation at /api/docs. */
export function serveDocs(app: INestApplication): void {
  const options = new DocumentBuilder()
    .setTitle('Orthokin')
    .setDescription('Times are milliseconds, lengths are metres. Sending a thing twice is safe.')
    .setVersion('1')
    .build();
  const describe = () => {
    const document = SwaggerModule.createDocument(app, options);
    const schemas = schemasUnder(SCHEMAS) as NonNullable<typeof document.components>['schemas'];
    const paths = withPathParameters(document.paths);
    return { ...document, paths, components: { ...document.components, schemas: schemas ?? {} } };
  };
  SwaggerModule.setup('api/docs', app, describe, {
    customSiteTitle: 'Orthokin API',
    customCss: '.swagger-ui .topbar { display: none }',
  });
}
