import { IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import type { AsTyped } from './as-typed.js';
import { Place } from './claim.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { Called, Names, Nested, PartOf } from './declared.js';
import { LANDING_ROLES, type LandingRole } from './words.js';

/** What one controller says of one module, in its own rack or in another's: its own picture of it. */
@Called('module assignment')
export class Landing {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** the controller that says so */
  @IsId() @Names('station', 'it goes') station!: string;
  @IsId() @PartOf('module') module!: string;
  @IsIn(LANDING_ROLES) role!: LandingRole;
  /** where its inputs and outputs lie in this controller's areas */
  @Nested(() => Place, { nullable: true, orTyped: true }) inputsAt!: Place | AsTyped | null;
  @Nested(() => Place, { nullable: true, orTyped: true }) outputsAt!: Place | AsTyped | null;
  /** as entered there; null: not entered */
  @IsOptional() @IsInt() @Min(0) @Max(1000) slot!: number | null;
  @IsOptional() @IsInt() @Min(0) @Max(100_000) inputs!: number | null;
  @IsOptional() @IsInt() @Min(0) @Max(100_000) outputs!: number | null;
  @IsString() @AtMost(100) orderCode!: string;
  /** a range, as typed: `5.2`, `5.2–5.x`, `5.x`, `4.3–4.9, 5.1`, `any` */
  @IsString() @AtMost(200) accepted!: string;
  /** the version of the description file that it was entered with */
  @IsText() description?: string;
}
