import { setWarningLogger } from 'node-opcua-debug';

// To be imported before the rest of it: it warns of a cipher that a server without one does not use.
setWarningLogger(() => undefined);
