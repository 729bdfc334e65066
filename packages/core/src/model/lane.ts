import { IsId, IsOrder, IsText } from './fields.js';
import { RecordOf } from './nested.js';

/** A value that the lane is meant to carry. That two claims mean the same value is said by the key. */
export class LaneItem {
  @IsOrder() order!: number;
}

/** One block that is meant to be the same data at all its ends. */
export class Lane {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() exchange!: string;
  /** what it follows from, where it was made: `landing l1 inputs` */
  @IsText() madeBy?: string;
  @RecordOf(() => LaneItem) items!: Record<string, LaneItem>;
}
