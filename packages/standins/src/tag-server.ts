import './quiet.js';
import { offeredTags, type OfferedTag, type Plant } from '@dialoga/core/rehearse';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Namespace, UAObject } from 'node-opcua-address-space';
import { OPCUACertificateManager } from 'node-opcua-certificate-manager';
import { MessageSecurityMode, SecurityPolicy } from 'node-opcua-secure-channel';
import { OPCUAServer } from 'node-opcua-server';
import { StatusCodes } from 'node-opcua-status-code';
import { DataType, Variant, VariantArrayType } from 'node-opcua-variant';
import { freeFrom, LOOPBACK } from './loopback.js';

/** A station that offers its tags by name over OPC UA. */
export interface TagServer {
  port: number;
  /** The plant is another after an edit: its tags are offered as they are now. */
  offerAnew(): void;
  close(): Promise<void>;
}

/** Elementary types as OPC UA carries them. [published: IEC 62541-3, built-in data types; PLCopen OPC UA Information Model for IEC 61131-3] [from memory] */
const TYPES: Readonly<Record<string, DataType>> = {
  BOOL: DataType.Boolean,
  SINT: DataType.SByte,
  USINT: DataType.Byte,
  BYTE: DataType.Byte,
  CHAR: DataType.Byte,
  INT: DataType.Int16,
  UINT: DataType.UInt16,
  WORD: DataType.UInt16,
  WCHAR: DataType.UInt16,
  DINT: DataType.Int32,
  TIME: DataType.Int32,
  UDINT: DataType.UInt32,
  DWORD: DataType.UInt32,
  DATE: DataType.UInt32,
  TOD: DataType.UInt32,
  DT: DataType.UInt32,
  LINT: DataType.Int64,
  LTIME: DataType.Int64,
  ULINT: DataType.UInt64,
  LWORD: DataType.UInt64,
  LDATE: DataType.UInt64,
  LTOD: DataType.UInt64,
  LDT: DataType.UInt64,
  REAL: DataType.Float,
  LREAL: DataType.Double,
  STRING: DataType.String,
  WSTRING: DataType.String,
};

/** Serves the tags of a station on loopback, on this port or the next free one; each as `ns=1;s=NAME`. */
export const serveTags = (name: string, port: number, plant: () => Plant, station: string): Promise<TagServer> =>
  freeFrom(port, (at) => serveAt(name, at, plant, station));

async function serveAt(name: string, port: number, plant: () => Plant, station: string): Promise<TagServer> {
  const folder = await mkdtemp(join(tmpdir(), 'dialoga-tags-'));
  const certificates = (own: string) =>
    new OPCUACertificateManager({ rootFolder: own, automaticallyAcceptUnknownCertificate: true });
  const server = new OPCUAServer({
    host: LOOPBACK,
    hostname: LOOPBACK,
    port,
    buildInfo: { productName: `stand-in of ${name}` },
    allowAnonymous: true,
    securityModes: [MessageSecurityMode.None],
    securityPolicies: [SecurityPolicy.None],
    // What it keeps is gone with it: nobody is to trust a stand-in later.
    serverCertificateManager: certificates(folder),
    userCertificateManager: certificates(join(folder, 'users')),
  });
  const close = async () => {
    await server.shutdown(0).catch(() => undefined);
    await rm(folder, { recursive: true, force: true });
  };
  await server.initialize();
  let parent: UAObject | null = null;
  const offerAnew = () => {
    const space = server.engine.addressSpace!;
    if (parent) space.deleteNode(parent);
    const own = space.getOwnNamespace();
    parent = own.addObject({ organizedBy: space.rootFolder.objects, browseName: name, nodeId: 's=stand-in' });
    for (const tag of offeredTags(plant(), station)) offer(own, parent, tag, () => isAway(plant(), station));
  };
  offerAnew();
  try {
    await server.start();
  } catch (error) {
    await close();
    throw error;
  }
  return { port, offerAnew, close };
}

function offer(own: Namespace, parent: UAObject, tag: OfferedTag, isAway: () => boolean): void {
  const dataType = TYPES[tag.base];
  if (dataType === undefined) return;
  const access = tag.settable ? 'CurrentRead | CurrentWrite' : 'CurrentRead';
  own.addVariable({
    componentOf: parent,
    browseName: tag.name,
    nodeId: `s=${tag.name}`,
    dataType,
    ...(tag.count > 1 ? { valueRank: 1, arrayDimensions: [tag.count] } : {}),
    accessLevel: access,
    userAccessLevel: access,
    minimumSamplingInterval: 50,
    value: {
      get: () => asVariant(tag, dataType),
      set: (value: Variant) =>
        isAway() || !tag.set(fromVariant(value)) ? StatusCodes.BadOutOfRange : StatusCodes.Good,
    },
  });
}

function asVariant(tag: OfferedTag, dataType: DataType): Variant {
  const now = tag.now();
  if (typeof now === 'string') return new Variant({ dataType, value: now });
  const values = now.map((one) => asWire(one, dataType));
  if (tag.count === 1) return new Variant({ dataType, arrayType: VariantArrayType.Scalar, value: values[0] });
  return new Variant({ dataType, arrayType: VariantArrayType.Array, value: values });
}

const isAway = (plant: Plant, station: string): boolean => plant.standing.has(station) || plant.isOutside(station);

/** 64 bits travel as two numbers of 32, the high one first. */
function asWire(value: number | bigint, dataType: DataType): number | boolean | [number, number] {
  if (dataType === DataType.Boolean) return Number(value) === 1;
  if (dataType !== DataType.Int64 && dataType !== DataType.UInt64) return Number(value);
  const whole = BigInt.asUintN(64, BigInt(value));
  return [Number(whole >> 32n), Number(whole & 0xffffffffn)];
}

function fromVariant({ dataType, arrayType, value }: Variant): (number | bigint)[] | string {
  if (typeof value === 'string') return value;
  const wide = dataType === DataType.Int64 || dataType === DataType.UInt64;
  const one = (v: unknown): number | bigint => {
    if (!wide) return Number(v);
    const [high = 0, low = 0] = v as [number, number];
    return (BigInt(high >>> 0) << 32n) | BigInt(low >>> 0);
  };
  return arrayType === VariantArrayType.Scalar ? [one(value)] : Array.from(value as Iterable<unknown>, one);
}
