// class-transformer's ESM entry does not export its metadata storage.
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** JSON Schemas of all contract classes by name, with `$ref`s under a prefix. */
export const schemasUnder = (prefix: string): object =>
  validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: prefix,
  });
