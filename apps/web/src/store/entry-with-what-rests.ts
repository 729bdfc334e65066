/** Apart, so that it is loaded when it is needed. */
export { dropEntryWithWhatRests } from '@dialoga/core/fields';
