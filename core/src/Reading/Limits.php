<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** How much there may be of anything that comes in from outside: far more than a company needs, and little enough to be worked on at once. */
final class Limits
{
    public const ELEMENTS = 12_000;
    /** Characters of a name. */
    public const NAME = 200;
    /** Of a short name: of a state, a rule or a season. */
    public const SHORT_NAME = 60;
    /** Of what stands at an exit, a caller or a tag. */
    public const LABEL = 80;
    /** Of an id, and of an id with a part of its element. */
    public const ID = 80;
    public const TARGET = 160;
    /** Of what an exit or a state is known by. */
    public const KEY = 64;
    /** Characters of why something is as it is. */
    public const WHY = 1000;

    public const STATES = 50;
    /** Of a week; one names its bands by groups of days. */
    public const WEEK_BANDS = 200;
    public const DAY_BANDS = 100;
    public const DAYS = 7;
    public const SEASONS = 100;
    public const CALENDARS = 50;
    public const EXCEPTIONS = 500;
    public const SPECIAL_DAYS = 2000;
    public const CODES = 100;

    public const HOLIDAYS = 1000;
    public const DATES = 500;
    public const YEARS = 300;

    public const STEPS = 1000;
    public const EXITS = 60;
    /** Keys with words beside them, in all languages together. */
    public const MENU_WORDS = 120;
    /** That do what a key does, in one language. */
    public const WORDS = 20;

    public const PHONES = 30;
    public const RULES = 60;
    public const STAGES = 30;
    public const TEAMS = 30;
    public const CALLERS = 200;
    /** Of a list of callers. */
    public const CALLER_ENTRIES = 100_000;
    public const STATUSES = 10;
    public const MEMBERS = 500;
    /** Callers in a queue. */
    public const WAITING = 500;
    /** Of music. */
    public const PIECES = 20;
    public const OWNERS = 100;
    public const NOTIFY = 100;
    public const DESTINATIONS = 10;
    public const PARK_PLACES = 100;
    public const LANGUAGES = 40;
    /** Of a prompt, in all languages. */
    public const TAKES = 200;

    public const SILENCES = 500;
    /** At one menu after the other, of a promise. */
    public const PRESSES = 10;

    /** Of a trial call. */
    public const KEYS = 200;
    public const ASSUMPTIONS = 2000;

    /** Numbers of a block. */
    public const BLOCK = 10_000;
    /** People that one file brings, or to whom one act is done. */
    public const PEOPLE = 2000;

    /** Fields that an object of any kind may have: known ones are far fewer. */
    public const FIELDS = 200;
    /** Things wrong that are told at once; nothing more is read when so many are found. */
    public const PROBLEMS = 100;
    /** Characters of a value that are told back. */
    public const ECHOED = 80;
}
