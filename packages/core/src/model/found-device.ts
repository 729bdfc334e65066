import { IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { Called, Names } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { FOUND_DECISIONS, type FoundDecision } from './words.js';

/** A device as somebody found it on site: what it says of itself, who saw it, when and how. It changes nothing of the plan. */
@Called('found device')
export class FoundDevice {
  @IsId() id!: string;
  @IsOrder() order!: number;
  /** its hardware (MAC) address, IPv4 address, device name, unit, node and telemetry address, each as found */
  @IsText() hardware?: string;
  @IsText() address?: string;
  @IsText() deviceName?: string;
  @IsText() unit?: string;
  @IsText() node?: string;
  @IsText() telemetry?: string;
  /** what it says that it is */
  @IsText() type?: string;
  @IsText() orderCode?: string;
  @IsText() revision?: string;
  /** slots of its rack */
  @IsOptional() @IsInt() @Min(0) @Max(1000) slots?: number | null;
  @IsText() remark?: string;
  @IsString() @AtMost(200) by!: string;
  /** ISO 8601 */
  @IsString() @AtMost(40) at!: string;
  /** the list that it stood in, or how else it was seen */
  @IsString() @AtMost(200) how!: string;
  /** which planned station it is, where somebody said so */
  @IsOptional() @IsId() @Names('station') station?: string | null;
  /** what is to become of what differs; null: not decided */
  @IsOptional() @IsIn(FOUND_DECISIONS) decision?: FoundDecision | null;
  @IsText() decidedBy?: string;
  /** what is asked, and of whom */
  @IsText() question?: string;
}
