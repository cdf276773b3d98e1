declare module 'class-transformer/cjs/storage.js' {
  export { defaultMetadataStorage } from 'class-transformer/types/storage.js';
}
