import { RULES } from '@dialoga/core/check';

/** What stands for `virtual:finding-words` where nothing is built: the same words, from the rules themselves. */
export default Object.fromEntries(RULES.map(({ meta }) => [meta.code, meta]));
