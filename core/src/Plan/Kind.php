<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\OutsideLine;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Settings;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Element\Team;

/** The kinds of element that a plan consists of. */
enum Kind: string
{
    case Site = 'site';
    case Number = 'number';
    case Calendar = 'calendar';
    case Hours = 'hours';
    case Journey = 'journey';
    case CallerList = 'callers';
    case Prompt = 'prompt';
    case Person = 'person';
    case Team = 'team';
    case Queue = 'queue';
    case Mailbox = 'mailbox';
    case Line = 'line';
    case Expectation = 'expectation';
    case Settings = 'settings';

    /** @return class-string<Element> */
    public function elementClass(): string
    {
        return match ($this) {
            self::Site => Site::class,
            self::Number => Number::class,
            self::Calendar => HolidayCalendar::class,
            self::Hours => Hours::class,
            self::Journey => Journey::class,
            self::CallerList => CallerList::class,
            self::Prompt => Prompt::class,
            self::Person => Person::class,
            self::Team => Team::class,
            self::Queue => Queue::class,
            self::Mailbox => Mailbox::class,
            self::Line => OutsideLine::class,
            self::Expectation => Expectation::class,
            self::Settings => Settings::class,
        };
    }

    /** The start of new ids of this kind. */
    public function prefix(): string
    {
        return match ($this) {
            self::Team => 'team',
            self::Mailbox => 'mbx',
            self::Hours => 'hrs',
            self::Journey => 'jrn',
            self::Prompt => 'prm',
            self::Line => 'line',
            self::CallerList => 'clr',
            default => substr($this->value, 0, 3),
        };
    }

    /** @return list<string> the fields that an outline leaves out: they are long, and only its own screen shows them */
    public function leftOut(): array
    {
        return match ($this) {
            self::Journey => ['steps'],
            self::CallerList => ['entries'],
            self::Person => ['rules'],
            self::Hours => ['week', 'seasons', 'specialDays'],
            self::Prompt => ['takes', 'machine'],
            self::Site,
            self::Number,
            self::Calendar,
            self::Team,
            self::Queue,
            self::Mailbox,
            self::Line,
            self::Expectation,
            self::Settings
                => [],
        };
    }

    /** @return list<self> those of elements that a call can be sent straight to */
    public static function takingCalls(): array
    {
        /** @var list<self>|null $kinds */
        static $kinds = null;

        return $kinds ??= array_values(
            array_filter(
                self::cases(),
                static fn(self $kind): bool => is_subclass_of($kind->elementClass(), TakesCalls::class),
            ),
        );
    }
}
