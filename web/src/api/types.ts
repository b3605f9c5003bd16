import type { components } from './schema';

type Schemas = components['schemas'];

export type Job = Schemas['Job'];
export type Vehicle = Schemas['Vehicle'];
export type Variant = Schemas['Variant'];
export type Item = Schemas['Item'];
export type Presence = Schemas['Presence'];
export type Level = Schemas['Level'];
export type Limit = Schemas['Limit'];
export type Limits = Schemas['Limits'];
export type Tank = Schemas['Tank'];
export type Seat = Schemas['Seat'];
export type Part = Schemas['Part'];
export type Trailer = Schemas['Trailer'];
export type Point = Schemas['Point'];
export type Document = Schemas['Document'];
export type Assessment = Schemas['Assessment'];
export type Pad = Schemas['Pad'];
export type ItemFigures = Schemas['ItemFigures'];
export type Finding = Schemas['Finding'];
export type Fix = Schemas['Fix'];
export type Conflict = Schemas['Conflict'];
export type Listed = Schemas['Listed'];
export type Preview = Schemas['Preview'];
export type Units = Job['units'];
export type Region = Job['region'];
export type Datum = Job['datum'];
