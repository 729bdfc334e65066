/** Every closed list of words in the model, and their types. Free of decorators, so that the page can use them. */
export const ROLES = [
  'controller',
  'operator panel',
  'SCADA station',
  'simulator',
  'tag server',
  'gateway',
  'coupler',
  'remote I/O head',
  'telemetry unit',
  'radio unit',
  'router',
  'workstation',
] as const;
export const PARTIES = ['own', 'outside', 'in another project'] as const;
export type Role = (typeof ROLES)[number];

export type Party = (typeof PARTIES)[number];

export const UNITS = [1, 8, 16, 32, 64] as const;
export const NOTATIONS = [
  'iec bytes',
  'iec elements',
  'reference 5',
  'reference 6',
  'table and number',
  'protocol address',
  'prefix and number',
  'byte offset',
  'name and element',
] as const;
export const RADIXES = ['decimal', 'hexadecimal'] as const;
export type Radix = (typeof RADIXES)[number];

export const AREA_KINDS = [
  'memory',
  'input image',
  'output image',
  'coils',
  'discrete inputs',
  'input registers',
  'holding registers',
  'gateway memory',
] as const;
export const TABLES = ['coils', 'discrete inputs', 'input registers', 'holding registers'] as const;
export const ACCESSES = ['read', 'read and set'] as const;
export type Unit = (typeof UNITS)[number];

export type NotationId = (typeof NOTATIONS)[number];

export type AreaKind = (typeof AREA_KINDS)[number];

export type ReferenceTable = (typeof TABLES)[number];

export type Access = (typeof ACCESSES)[number];

export const NETWORK_KINDS = ['ethernet', 'serial line', 'token bus', 'radio', 'direct cable'] as const;
export type NetworkKind = (typeof NETWORK_KINDS)[number];

/** How the conductors of a serial line run: shared by all, one pair each way, or between two devices only. */
export const WIRINGS = ['two-wire', 'four-wire', 'point-to-point'] as const;
export type Wiring = (typeof WIRINGS)[number];
/** Electrical standards of serial interfaces. */
export const ELECTRICAL = ['RS-485', 'RS-422', 'RS-232'] as const;
export type Electrical = (typeof ELECTRICAL)[number];
export const LINE_ROLES = ['calls', 'answers'] as const;
export type LineRole = (typeof LINE_ROLES)[number];
export const ADDRESS_SOURCES = ['by hand', 'automatic', 'temporary'] as const;
export type AddressSource = (typeof ADDRESS_SOURCES)[number];
export const RADIO_SORTS = ['base', 'repeater', 'end unit'] as const;
export type RadioSort = (typeof RADIO_SORTS)[number];

export const MODULE_KINDS = [
  'CPU',
  'head',
  'communication',
  'digital input',
  'digital output',
  'digital input and output',
  'analogue input',
  'analogue output',
  'counter',
  'other',
] as const;
export type ModuleKind = (typeof MODULE_KINDS)[number];
/** owner: sets the outputs and says how the module works; listener: only reads its inputs */
export const LANDING_ROLES = ['owner', 'listener'] as const;
export type LandingRole = (typeof LANDING_ROLES)[number];

export const RUN_STATES = ['running', 'stopped', 'faulted'] as const;
export type RunState = (typeof RUN_STATES)[number];
/** What a station does when it is loaded. */
export const AFTER_LOAD = ['runs on', 'starts by itself', 'waits to be started'] as const;
export type AfterLoad = (typeof AFTER_LOAD)[number];
/** Who may set this station up from outside. */
export const GUARDS = ['closed', 'password', 'default password', 'open'] as const;
export type Guard = (typeof GUARDS)[number];
/** Fields that a type may leave the factory with, to be told from a value that somebody chose. */
export const PRESET_FIELDS = ['address', 'unit', 'node', 'telemetry', 'radio number'] as const;
export type PresetField = (typeof PRESET_FIELDS)[number];

/** How a value can be got into a device. */
export const SETTING_WAYS = [
  'online',
  'offline only',
  'by serial line first',
  'over the air once linked',
  'with no project open',
  'at the device itself',
] as const;
export type SettingWay = (typeof SETTING_WAYS)[number];
export const SETTING_STATES = ['not sent', 'sent', 'in force after a restart', 'in force'] as const;
export type SettingState = (typeof SETTING_STATES)[number];

export const PURPOSES = ['general', 'programming', 'I/O', 'panel'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** What a part of a module's block is for. */
export const MEMBER_USES = ['to start', 'to listen', 'interlock', 'to end', 'status', 'settings'] as const;
/** pulse: set for one pass; level: held; period: repeated again and again */
export const SIGNALS = ['pulse', 'level', 'period'] as const;
export type MemberUse = (typeof MEMBER_USES)[number];
export type Signal = (typeof SIGNALS)[number];

export const WORD_BITS = [8, 16, 32] as const;
/** Who puts data into an area besides the exchanges. */
export const OWN_WRITERS = ['program', 'keys', 'device page', 'start values', 'firmware'] as const;
export type WordBits = (typeof WORD_BITS)[number];

export type OwnWriter = (typeof OWN_WRITERS)[number];

export const EXCHANGE_KINDS = [
  'peer connection',
  'shared variables',
  'coupler area',
  'gateway memory',
  'tag map',
  'remote I/O',
  'service link',
] as const;
/** Whether data that a station offers by name may be used from outside. */
export const OPENNESS = ['closed', 'may read', 'may set'] as const;
export type Openness = (typeof OPENNESS)[number];
/** What the sinks do once nothing arrives any more. */
export const SINKS_ON_LOSS = ['hold the last value', 'go to zero', 'go to a set value'] as const;
/** What the source's program knows of it. */
export const SOURCE_ON_LOSS = ['is told by a status', 'goes on commanding'] as const;
/** What happens to outputs when the link is back. */
export const ON_RETURN = ['come back by themselves', 'wait for a release'] as const;
export type SinksOnLoss = (typeof SINKS_ON_LOSS)[number];
export type SourceOnLoss = (typeof SOURCE_ON_LOSS)[number];
export type OnReturn = (typeof ON_RETURN)[number];
/** When an end sends or asks for a block; empty: in the cadence of the exchange, or on request where it has none. */
export const TRIGGERS = ['cyclic', 'on change', 'on demand', 'at start'] as const;
export type Trigger = (typeof TRIGGERS)[number];
/** What a station lets others do with its data. */
export const FROM_OUTSIDE = ['nothing', 'reading', 'reading and setting'] as const;
export type FromOutside = (typeof FROM_OUTSIDE)[number];
/** How many bits the elements have that a generic connection counts its sizes in. */
export const ELEMENT_BITS = [8, 16, 32] as const;
export type ElementBits = (typeof ELEMENT_BITS)[number];
export const TRANSFERS = ['requests', 'cyclic blocks'] as const;
export const CARRIED = ['words', 'bytes', 'bits', 'values'] as const;
/** free: each end's place is its own affair; named: the calling end names the other's; same: equal on both ends */
export const PLACES = ['free', 'named', 'same'] as const;
export type ExchangeKind = (typeof EXCHANGE_KINDS)[number];

export type Transfer = (typeof TRANSFERS)[number];

export type Carried = (typeof CARRIED)[number];

export type Places = (typeof PLACES)[number];

/** What an end can be told about another. */
export const TOLD_FIELDS = [
  'address',
  'tcpPort',
  'unit',
  'node',
  'telemetry',
  'name',
  'slot',
  'type',
  'connection',
  'input',
  'output',
  'configuration',
] as const;
/** References that a connection is set up by; each end has its own. */
export const REFERENCE_FIELDS = ['connection', 'input', 'output', 'configuration'] as const;
export type ReferenceField = (typeof REFERENCE_FIELDS)[number];
export type ToldFieldName = (typeof TOLD_FIELDS)[number];

/** What a station passes on that is meant for others. */
export const FORWARDS = [
  'requests by unit',
  'requests by telemetry address',
  'requests',
  'service access',
  'setting addresses',
  'looking on',
  'program transfer',
  'firmware',
  'IP packets',
] as const;
export type Forward = (typeof FORWARDS)[number];

export const NAME_FORMS = ['any', 'identifier'] as const;
export type NameForm = (typeof NAME_FORMS)[number];

export const CALLING = ['calls', 'listens'] as const;
export const SWAPS = ['none', 'bytes', 'words', 'bytes and words', 'fours', 'bytes and fours'] as const;
export type Calling = (typeof CALLING)[number];

/** bytes in a word, words in a pair, words in a four, and their combinations */
export type Swap = (typeof SWAPS)[number];

export const DIRECTIONS = ['writes', 'reads', 'both'] as const;
/** writes: takes data out of its own area and sends it. reads: puts what arrives into its own area. */
export type Direction = (typeof DIRECTIONS)[number];

export const BYTE_ORDERS = ['high first', 'low first'] as const;
export const REGISTER_ORDERS = [
  'high first',
  'low first',
  'high first, pairs swapped',
  'low first, pairs swapped',
] as const;
export const BOOL_PACKINGS = ['bit', 'byte', 'word'] as const;
export const NUMBERINGS = ['from the bottom', 'from the top'] as const;
export const STRING_HEADERS = ['none', 'length', 'capacity and length'] as const;
/** How many bits a character of a text takes: a byte, or a word of 16 bits of its own. */
export const CHARACTER_SIZES = ['byte', 'word'] as const;
export const ALIGNMENTS = ['1', '2', '4', '8', 'natural'] as const;
export type ByteOrder = (typeof BYTE_ORDERS)[number];

export type RegisterOrder = (typeof REGISTER_ORDERS)[number];

export type BoolPacking = (typeof BOOL_PACKINGS)[number];

export type Numbering = (typeof NUMBERINGS)[number];

export type StringHeader = (typeof STRING_HEADERS)[number];

export type CharacterSize = (typeof CHARACTER_SIZES)[number];

export type Alignment = (typeof ALIGNMENTS)[number];

/** What a signal of 1 means: the thing is so (`true when active`), or it is not (`true at rest`: a contact closed at rest). */
export const POLARITIES = ['true when active', 'true at rest'] as const;
export type Polarity = (typeof POLARITIES)[number];

/** Kinds of signal, as seen from the controller. */
export const SIGNAL_KINDS = ['discrete in', 'discrete out', 'analogue in', 'counter in', 'analogue out'] as const;
export type SignalKind = (typeof SIGNAL_KINDS)[number];

/** What a panel shows a tag with, or lets people set it by. */
export const PANEL_ELEMENTS = [
  'lamp',
  'push button',
  'two-way switch',
  'number shown',
  'number entry',
  'bar',
  'choice of several',
  'text shown',
  'text entry',
] as const;
export type PanelElement = (typeof PANEL_ELEMENTS)[number];

/** By what the two ends of a tag map find each other's data. */
export const BINDINGS = ['by address', 'by name', 'by item text'] as const;
export type Binding = (typeof BINDINGS)[number];

/** Kinds of traffic that a route is asked for: data on their own, requests of a program, and what an engineer's tool does. */
export const TRAFFICS = [
  'cyclic data',
  'requests',
  'setting addresses',
  'looking on',
  'program transfer',
  'firmware',
] as const;
export type Traffic = (typeof TRAFFICS)[number];
export const EXPECTED_REACH = ['must reach', 'must not reach'] as const;
export type ExpectedReach = (typeof EXPECTED_REACH)[number];
/** Whether a helper object is still to be drawn, was found there, or was taken out again. */
export const PRESENCES = ['planned', 'found', 'removed'] as const;
export type Presence = (typeof PRESENCES)[number];
/** Which of the two parts of a hop is written first. */
export const HOP_ORDERS = ['way first', 'address first'] as const;
export type HopOrder = (typeof HOP_ORDERS)[number];

/** The source of a figure that nobody measured: it stands for a common one, and is to be corrected. */
export const ASSUMED = 'assumed for the example';

/**
 * What becomes of what a found device has otherwise than planned: the plan was wrong, the device is to be set, somebody is
 * asked, or it is none of this project.
 */
export const FOUND_DECISIONS = ['adopt', 'correct', 'ask', 'not ours'] as const;
export type FoundDecision = (typeof FOUND_DECISIONS)[number];

/** What became of a step of the order of work. */
export const WORK_STATES = ['done', 'skipped', 'failed'] as const;
export type WorkState = (typeof WORK_STATES)[number];

/** What is put in for the time of the work. */
export const TEMPORARY_SORTS = [
  'held in rehearsal',
  'played by another program',
  'typed output',
  'offset',
  'opened access',
  'widened revisions',
  'other',
] as const;
export type TemporarySort = (typeof TEMPORARY_SORTS)[number];

/** What became of a point that was tested on site. */
export const POINT_RESULTS = ['seen', 'not seen', 'skipped'] as const;
export type PointResult = (typeof POINT_RESULTS)[number];
/** Where a point is looked at: at the device itself, or in the tool that looks into the sink. */
export const POINT_VIEWS = ['tool', 'device'] as const;
export type PointView = (typeof POINT_VIEWS)[number];
