import { IsIn } from 'class-validator';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { NETWORK_KINDS, type NetworkKind } from './words.js';

/** What ports attach to. */
export class Network {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(NETWORK_KINDS) kind!: NetworkKind;
  /** IPv4 subnet as typed, `10.48.10.0/24` */
  @IsText() subnet?: string;
  @IsText() comment?: string;
}
