import { IsIn, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import { Called, Names, PartOf } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { PRESENCES, type Presence } from './words.js';

/** Something that must be drawn into a station's own project only so that a route works, and that goes out again. */
@Called('placeholder station')
export class HelperObject {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** in whose own project it is drawn */
  @IsId() @Names('station', 'it goes') station!: string;
  /** the station that it stands for */
  @IsId() @Names('station', 'it goes') standsFor!: string;
  /** the route that needs it */
  @IsId() @PartOf('route') route!: string;
  /** as what it is drawn there */
  @IsString() @AtMost(200) drawnAs!: string;
  /** the address, node or unit that it is given there, as typed */
  @IsString() @AtMost(60) address!: string;
  @IsIn(PRESENCES) presence!: Presence;
  /** what else it brings along into that project */
  @IsText() brings?: string;
  @IsText() comment?: string;
}
