/**
 * What reading a recipe knows of its language. A second language is a second table of this form; figures are told by the
 * tables that fields read with. Patterns are of a sentence in which ingredients stand as ‹iN› and amounts as ‹aN›, all else
 * in small letters without accents, in the singular.
 */
import type { Method } from '../model/index.ts'
import type { Region } from './tables.ts'

export type Doing = 'knead' | 'rest' | 'chill' | 'boil' | 'dry' | 'bake' | 'total'

/** What a relation speaks of: a group of its pattern, or any flour, any liquid. */
export type Party = number | 'flour' | 'liquid'

export interface RelationPattern {
  readonly says: RegExp
  /** `over` is `figure` times `under`. */
  readonly over: Party
  /** A group, or as much. */
  readonly figure: number | 'same'
  readonly under: Party
  /** Any figure is one: without it a share or a percent is wanted. */
  readonly plain?: true
  readonly divides?: true
  readonly hydration?: true
}

export interface Grammar {
  /** Headings of a recipe. */
  readonly headings: { readonly ingredients: RegExp; readonly method: RegExp }
  /** As a recipe for machines tells its yield and its time. */
  readonly serves: (people: string) => string
  readonly totalTime: (minutes: number) => string
  /** Written with a point that ends nothing. */
  readonly shortForms: ReadonlySet<string>
  /** Of units: with a point and a capital after it, the sentence ends. */
  readonly symbols: ReadonlySet<string>

  /** Between two figures of a range. */
  readonly to: ReadonlySet<string>
  /** Between two parts of one amount. */
  readonly plus: ReadonlySet<string>
  /** Between an amount and what it is of. */
  readonly of: ReadonlySet<string>
  /** Between two ways of telling one amount. */
  readonly orAbout: ReadonlySet<string>
  readonly or: string
  readonly and: string
  readonly each: string
  readonly every: ReadonlySet<string>
  readonly parts: ReadonlySet<string>
  /** After which a new thing begins: an amount does not reach over them. */
  readonly breaks: ReadonlySet<string>
  /** Of those, what may stand between a thing and its amount. */
  readonly bridges: ReadonlySet<string>
  /** What an amount may be called without being an ingredient. */
  readonly noThing: ReadonlySet<string>
  /** Words of a sentence about an ingredient: none of its name. */
  readonly noName: ReadonlySet<string>
  /** Describes what stands before it. */
  readonly describes: RegExp
  /** After an ingredient, of which it is no ingredient: egg sized, water bath, gluten free. */
  readonly notMeant: ReadonlySet<string>
  /** Before a thing that is not there. */
  readonly without: RegExp
  /** Beside the name of a flour: it is one without gluten, whatever that name means elsewhere. */
  readonly withoutGluten: RegExp
  /** How a thing is: no name by itself. */
  readonly states: ReadonlySet<string>
  readonly sizes: ReadonlySet<string>
  readonly small: ReadonlySet<string>
  readonly large: ReadonlySet<string>
  readonly extraLarge: ReadonlySet<string>
  /** Names by which any flour may be meant; and where a sentence speaks of flour. */
  readonly anyFlour: RegExp
  readonly flour: RegExp
  /** Percent of something else. */
  readonly otherPercent: RegExp
  /** What another word near a name makes of it. */
  readonly refined: readonly { readonly from: string; readonly said: RegExp; readonly to: string }[]

  /** A heading or a line after which what is named is not the dough's; and what makes it the dough's. */
  readonly notTheDough: RegExp
  readonly theDough: RegExp
  /** In one sentence: from there on it is not the dough's. */
  readonly notFromHere: RegExp
  /** Water and salt after one of these are for cooking in; in a sentence that speaks of the pot too. */
  readonly pot: RegExp
  readonly potIs: RegExp
  /** Between the pot and what is in it. */
  readonly into: ReadonlySet<string>
  /** After what is for the board; and before it. */
  readonly dusting: RegExp
  readonly dust: RegExp
  /** Told again, not more of it. */
  readonly again: RegExp
  readonly more: RegExp
  readonly per: RegExp
  readonly people: RegExp
  /** Of one piece, one litre: no part of the dough. */
  readonly perOther: RegExp

  /** What is said of one thing by another; the first that fits is meant. */
  readonly relations: readonly RelationPattern[]
  /** Words that are a figure of one thing by another. */
  readonly factors: Readonly<Record<string, number>>
  /** A sentence of two things and two figures. */
  readonly ratio: RegExp
  readonly byWeight: RegExp

  /** Nearest to a time, before it or after, a word says what it is for; the first that fits. */
  readonly doings: readonly (readonly [Exclude<Doing, 'total'>, RegExp])[]
  readonly wholeTime: RegExp
  /** Before a time. */
  readonly readyIn: RegExp
  /** Cooked before there is a dough of it. */
  readonly cookedFirst: RegExp
  readonly thickness: RegExp
  /** What the whole dough weighs; and what weighs less than that. */
  readonly totals: readonly RegExp[]
  readonly notATotal: RegExp

  /** Of the whole text: ways of making that it speaks of; what only a stiff dough takes. */
  readonly methods: readonly (readonly [Method, RegExp])[]
  readonly stiff: RegExp
  /** Whose cups are meant, by what a text says. */
  readonly regions: readonly (readonly [Region, RegExp])[]
}
