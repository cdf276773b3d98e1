// The published ESM build of class-transformer hides its metadata storage; this is where it lives.
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** JSON schemas of all the contract's classes, by name, referring to each other under a prefix. */
export const schemasUnder = (prefix: string): object =>
  validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: prefix,
  });
