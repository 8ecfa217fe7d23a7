import type { components } from './schema';

type Schemas = components['schemas'];

export type Element = Schemas['Element'];
export type Kind = Element['kind'];
export type Of<K extends Kind> = Extract<Element, { kind: K }>;
/** What an outline leaves out, by kind. */
interface LeftOut {
    journey: 'steps';
    callers: 'entries';
    person: 'rules';
    hours: 'week' | 'seasons' | 'specialDays';
    prompt: 'takes' | 'machine';
}
/** An element as lists and pickers know it: its body is fetched when it is looked at. */
export type Outlined<K extends Kind = Kind> = {
    [P in K]: P extends keyof LeftOut ? Omit<Of<P>, LeftOut[P]> & { sizes?: Record<LeftOut[P], number> } : Of<P>;
}[K];
export type NumberElement = Of<'number'>;
export type Journey = Of<'journey'>;
export type Hours = Of<'hours'>;
export type Calendar = Of<'calendar'>;
export type Holiday = Calendar['holidays'][number];
export type HolidayRule = Holiday['rule'];
/** Hours without their week, as others know them. */
export type HoursOutline = Outlined<'hours'>;
export type Season = Hours['seasons'][number];
export type Person = Of<'person'>;
export type Team = Of<'team'>;
export type Queue = Of<'queue'>;
export type CallerList = Of<'callers'>;
export type CallerEntry = Schemas['CallerEntry'];
export type Prompt = Of<'prompt'>;
export type Take = Prompt['takes'][number];
export type Mailbox = Of<'mailbox'>;
export type Site = Of<'site'>;
export type Step = Journey['steps'][number];
type StepOf<D extends Step['do']> = Extract<Step, { do: D }>;
export type Exit = StepOf<'menu'>['exits'][number];
export type State = Hours['states'][number];
export type WeekBand = Hours['week'][number];
export type Band = Hours['specialDays'][number]['bands'][number];
export type Day = WeekBand['days'][number];
export type AnsweringRule = Person['rules'][number];
export type Window = AnsweringRule['when']['windows'][number];
export type Status = Schemas['Status'];
export type PersonStatus = Schemas['PersonStatus'];
export type Phone = Person['phones'][number];
/** A plan as this application holds it. */
export type Plan = Omit<Schemas['PlanOutline'], 'elements'> & { elements: Outlined[] };
export type Change = Schemas['Change'];
export type Copyable = Schemas['Copyable'];
export type Reworded = Schemas['Reworded'];
export type Trace = Schemas['Trace'];
export type BlockNumber = Schemas['BlockNumber'];
export type NumberAnswer = Schemas['NumberAnswer'];
export type PlanFile = Schemas['plan.schema'];
export type SignInState = Schemas['SignInState'];
export type JourneyMapData = Schemas['JourneyMap'];
export type Letter = Schemas['Letter'];
export type Job = Schemas['Job'];
export type WantedRecording = Schemas['WantedRecording'];
export type Stay = Schemas['Stay'];
export type Edit = Schemas['Edit'];
export type Edition = Schemas['Edition'];
export type Pending = Schemas['Pending'];
export type TraceEvent = Schemas['Event'];
export type TrialCall = Schemas['TrialCall'];
export type PhoneAssumption = Schemas['PhoneAssumption'];
export type HoursState = Schemas['HoursState'];
export type Override = Schemas['Override'];
export type Year = Schemas['Year'];
export type Coverage = Schemas['Coverage'];
export type CoverageTotals = Schemas['CoverageTotals'];
export type Impact = Schemas['Impact'];
export type RungYear = Schemas['RungYear'];
export type Endings = Schemas['Endings'];
export type Acts = Schemas['Acts'];
export type ImportPreview = Schemas['ImportPreview'];
export type FieldError = Schemas['FieldError'];
export type Problem = Schemas['Problem'];
export type OutsideLine = Of<'line'>;
export type Expectation = Of<'expectation'>;
export type HeldExpectation = Schemas['HeldExpectation'];
export type Settings = Of<'settings'>;
export type RingStep = StepOf<'ring'>;
export type RuleStage = AnsweringRule['stages'][number];
export type Finding = Schemas['Finding'];
export type Fix = Schemas['Fix'];
export type Rung = Schemas['Rung'];
