import { IsIn } from 'class-validator';
import { Names } from './declared.js';
import { IsId, IsOrder, IsText } from './fields.js';
import { EXPECTED_REACH, TRAFFICS, type ExpectedReach, type Traffic } from './words.js';

/** That one station must, or must not, reach another with a kind of traffic. */
export class Expectation {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @Names('station', 'it goes') from!: string;
  @IsId() @Names('station', 'it goes') to!: string;
  @IsIn(TRAFFICS) traffic!: Traffic;
  @IsIn(EXPECTED_REACH) must!: ExpectedReach;
  @IsText() reason?: string;
}
