/** Types of stations that come with Dialoga, and what is known of a type, figure by figure. */
export { addFigure, FIGURE_FORMS } from './add-figure.js';
export { type MemberBlock, profileBlocks, reservedBlocks } from './member-block.js';
export { editProfile, newProfile, profileFigures } from './profile-figures.js';
export { type Replacement, replaceProfile } from './replace-profile.js';
export { profilesToChoose, SHIPPED_PROFILES } from './shipped.js';
