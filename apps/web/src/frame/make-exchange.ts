/** Loaded when the first exchange is begun from the find box. */
export { exchangeAsNamed } from '@dialoga/core/fields';
