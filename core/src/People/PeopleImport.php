<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\ByName;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\KnownBy;
use Meandros\Core\Plan\Element\Listing;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneManner;
use Meandros\Core\Plan\Element\PhoneOutside;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\ReachedBy;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Value\Lists;

/**
 * Works out what a file of people would do to a plan, row by row. Somebody with the same extension, or without one the
 * same name, is the same person: their words change, phones are added, and nothing is taken away.
 */
final class PeopleImport
{
    /** @var array<string, Person> */
    private array $byExtension = [];
    /** @var ByName<Person> */
    private readonly ByName $people;
    /** @var ByName<Site> */
    private readonly ByName $sites;
    /** @var ByName<Mailbox> */
    private readonly ByName $mailboxes;
    /** Where most people work: meant where no site is named. */
    private readonly ?string $usualSite;
    /** @var array<string, int> line by extension, as the file has them */
    private array $taken = [];
    /** @var array<string, int> line by person of the plan */
    private array $claimed = [];

    /** @param \Closure(): string $newId */
    private function __construct(private readonly Plan $plan, private readonly \Closure $newId)
    {
        $this->people = new ByName($plan->all(Person::class));
        $this->sites = new ByName($plan->all(Site::class));
        $this->mailboxes = new ByName($plan->all(Mailbox::class));
        $atSite = [];
        foreach ($plan->all(Person::class) as $person) {
            if ('' !== $person->known->extension) {
                $this->byExtension[$person->known->extension] = $person;
            }
            $atSite[$person->site] = 1 + ($atSite[$person->site] ?? 0);
        }
        arsort($atSite);
        $this->usualSite = array_key_first($atSite) ?? ($plan->all(Site::class)[0] ?? null)?->id();
    }

    /**
     * @param list<PersonRow>            $rows
     * @param \Closure(): string         $newId
     * @param (\Closure(int): void)|null $each  is told before each row how many were looked at
     *
     * @return list<PersonOutcome> one per row
     */
    public static function outcomes(Plan $plan, array $rows, \Closure $newId, ?\Closure $each = null): array
    {
        $import = new self($plan, $newId);
        $outcomes = [];
        foreach ($rows as $i => $row) {
            null === $each || $each($i);
            $outcomes[] = $import->outcome($row);
        }

        return $outcomes;
    }

    private function outcome(PersonRow $row): PersonOutcome
    {
        $problems = [];
        $mailbox = $this->mailboxes->first($row->mailbox);
        $known = '' === $row->extension ? null : $this->byExtension[$row->extension] ?? null;
        $same = $known ?? $this->named($row);
        $site =
            '' === $row->site
                ? $this->plan->get(Site::class, $same->site ?? $this->usualSite)
                : $this->sites->first($row->site);
        if ('' === $row->name) {
            $problems['name'] = new Problem('/name', 'row-without-name');
        }
        if ('' !== $row->extension && 1 !== preg_match('/^[0-9]{2,6}$/D', $row->extension)) {
            $problems['extension'] = new Problem('/extension', 'not-an-extension-of-row', [
                'extension' => Input::quote($row->extension),
            ]);
        } elseif (isset($this->taken[$row->extension])) {
            $problems['extension'] = new Problem('/extension', 'extension-in-file', [
                'extension' => $row->extension,
                'line' => $this->taken[$row->extension],
            ]);
        }
        if (null !== $same && isset($this->claimed[$same->id()])) {
            $problems['name'] = new Problem('/name', 'person-in-file', [
                'name' => $same->name(),
                'line' => $this->claimed[$same->id()],
            ]);
        }
        if (null === $site) {
            $problems['site'] = new Problem('/site', 'no-such-site', ['name' => Input::quote($row->site)]);
        }
        if ('' !== $row->mailbox && null === $mailbox) {
            $problems['mailbox'] = new Problem('/mailbox', 'no-such-mailbox', ['name' => Input::quote($row->mailbox)]);
        }
        $phones = $same->reach->phones ?? [];
        if ($row->phones->count() > Limits::PHONES) {
            $problems['phones'] = new Problem('/phones', 'too-many-phones', ['most' => Limits::PHONES]);
        } else {
            try {
                $phones = self::phones($row, $phones, $site->place->country ?? PhoneNumber::ANYWHERE);
            } catch (InvalidData $invalid) {
                $problems['outside'] = $invalid->problems[0];
            }
        }
        if ([] === $phones && null === $same && [] === $problems) {
            $problems['phones'] = new Problem('/phones', 'row-without-phone');
        }
        if ([] !== $problems || null === $site) {
            return new PersonOutcome($row, null, null, $problems);
        }
        $person = new Person(
            match (true) {
                null === $same => new About(($this->newId)(), $row->name),
                // Files lose accents: who is found by name keeps it as it is.
                null === $known => $same->about(),
                default => $same->about()->named($row->name),
            },
            $site->id(),
            new KnownBy(
                '' === $row->extension ? $same->known->extension ?? '' : $row->extension,
                $same->known->listing ?? new Listing(),
                $same?->known->shows,
            ),
            new ReachedBy(
                $phones,
                $mailbox?->id() ?? $same?->reach->mailbox,
                $same->reach->rules ?? [],
                $same->reach->refusesForAll ?? false,
            ),
        );
        $problems = self::problems($person);
        if ([] !== $problems) {
            return new PersonOutcome($row, null, null, $problems);
        }
        if (null !== $same) {
            $this->claimed[$same->id()] = $row->line;
        }
        if ('' !== $row->extension) {
            $this->taken[$row->extension] = $row->line;
        }

        return new PersonOutcome($row, $person, $same, [], null !== $same && $same->toJson() === $person->toJson());
    }

    /** @return array<string, Problem> what the plan would not take of a person, by column */
    private static function problems(Person $person): array
    {
        try {
            // Its numbers were read as they were typed.
            PlanCodec::element($person->toJson(), true);
        } catch (InvalidData $invalid) {
            $problems = [];
            foreach ($invalid->problems as $problem) {
                $column = explode('/', $problem->pointer)[1] ?? '';
                $problems[$column] ??= $problem;
            }

            return $problems;
        }

        return [];
    }

    /** Somebody of that name; with another extension it is somebody else. */
    private function named(PersonRow $row): ?Person
    {
        $person = $this->people->first($row->name);

        return '' === $row->extension || '' === $person?->known->extension ? $person : null;
    }

    /**
     * @param list<Phone> $phones that are there already
     *
     * @return list<Phone>
     *
     * @throws InvalidData when a number is none
     */
    private static function phones(PersonRow $row, array $phones, string $country): array
    {
        foreach ([[PhoneType::Desk, $row->phones->desk], [PhoneType::Soft, $row->phones->soft]] as [$type, $labels]) {
            foreach ($labels as $label) {
                $there = array_filter(
                    $phones,
                    static fn(Phone $phone): bool => $phone->type === $type && $phone->label === $label,
                );
                if ([] === $there) {
                    $phones[] = new Phone(self::freeId($type->value, $phones), $type, $label);
                }
            }
        }
        foreach ($row->phones->outside as $text) {
            $label = trim((string) preg_replace('/[+(]?[0-9][0-9 ()\/.-]*$/', '', $text));
            $number = PhoneNumber::parse(trim(substr($text, \strlen($label))), $country);
            $there = array_filter($phones, static fn(Phone $phone): bool => $phone->number() === $number);
            if ([] === $there) {
                $phones[] = new Phone(
                    self::freeId('mobile', $phones),
                    PhoneType::Outside,
                    '' === $label ? 'Mobile' : $label,
                    new PhoneOutside($number),
                    new PhoneManner(askFirst: true),
                );
            }
        }

        return $phones;
    }

    /** @param list<Phone> $phones */
    private static function freeId(string $base, array $phones): string
    {
        $ids = array_map(static fn(Phone $phone): string => $phone->id, $phones);
        for ($n = 2, $id = $base; Lists::has($ids, $id); ++$n) {
            $id = $base . $n;
        }

        return $id;
    }
}
