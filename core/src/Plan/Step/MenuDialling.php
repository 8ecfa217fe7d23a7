<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** Callers who know an extension may dial it at the menu. */
final readonly class MenuDialling
{
    /**
     * @param string|null  $site         of those who may be dialled, where it is one
     * @param list<string> $people       those who may be dialled, where it is some
     * @param int          $digitSeconds after a digit in which another may follow: so much longer every digit takes
     * @param string|null  $hours        while they are not open, calls go straight to the mailbox of whoever has one
     */
    public function __construct(
        public DialScope $scope = DialScope::Everybody,
        public ?string $site = null,
        public array $people = [],
        public int $digitSeconds = 3,
        public ?string $hours = null,
    ) {}

    /** Null where nobody can be dialled. */
    public static function fromJson(Input $in): ?self
    {
        if (!$in->isGiven()) {
            return null;
        }
        $in->onlyFields(['scope', 'site', 'people', 'digitSeconds', 'hours']);
        /** @var DialScope $scope */
        $scope = $in->field('scope')->oneOf(DialScope::class, DialScope::Everybody);

        return new self(
            $scope,
            $in->field('site')->reference(),
            array_map(
                static fn(Input $item): string => $item->text(Limits::ID),
                $in->field('people')->items(Limits::MEMBERS),
            ),
            $in->field('digitSeconds')->whole(1, 10, 'seconds', 3),
            $in->field('hours')->reference(),
        );
    }

    /** Seconds that dialling takes: one for each digit after the first, then as long as another may follow; # ends it at once. */
    public function seconds(string $keys): int
    {
        if (1 !== preg_match('/^[0-9]+/', $keys, $digits)) {
            return 0;
        }

        return \strlen($digits[0]) - 1 + ($digits[0] === $keys ? $this->digitSeconds : 0);
    }

    public function mayReach(Person $person): bool
    {
        return match ($this->scope) {
            DialScope::Everybody => $person->known->listing->on,
            DialScope::Site => $person->known->listing->on && $person->site === $this->site,
            DialScope::Some => Lists::has($this->people, $person->id()),
        };
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'scope' => $this->scope->value,
            'site' => $this->site,
            'people' => $this->people,
            'digitSeconds' => $this->digitSeconds,
            'hours' => $this->hours,
        ];
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->people as $i => $person) {
            $references[] = new Reference(
                $person,
                \sprintf('%s/people/%d', $pointer, $i),
                [Kind::Person],
                'lets callers dial their extension',
            );
        }
        if (null !== $this->site) {
            $references[] = new Reference(
                $this->site,
                $pointer . '/site',
                [Kind::Site],
                'lets callers dial extensions there',
            );
        }
        if (null !== $this->hours) {
            $references[] = new Reference(
                $this->hours,
                $pointer . '/hours',
                [Kind::Hours],
                'rings dialled extensions while they are open',
            );
        }

        return $references;
    }
}
