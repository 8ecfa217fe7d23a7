<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** Phones of a person, and teams, that ring together from some seconds after the rule begins, for so many seconds. */
final readonly class RuleStage
{
    /**
     * @param list<string> $phones ids within the person
     * @param list<string> $teams  ids; they ring for the person's own calls only, not where a team or a step asks for the person
     */
    public function __construct(public array $phones, public int $after, public int $seconds, public array $teams) {}

    /** The first second after it. */
    public function end(): int
    {
        return $this->after + $this->seconds;
    }

    /** @param list<string> $known ids of the person's phones */
    public static function fromJson(Input $in, array $known): ?self
    {
        $in->onlyFields(['phones', 'teams', 'after', 'seconds']);
        $phones = $teams = [];
        foreach ($in->field('teams')->items(Limits::TEAMS) as $item) {
            $teams[] = $item->text(Limits::ID);
        }
        foreach ($in->field('phones')->items(Limits::PHONES) as $item) {
            $phone = $item->exactText(Limits::KEY);
            if (!Lists::has($known, $phone)) {
                $item->complain([] === $known ? 'no-phone-yet' : 'no-such-phone', [
                    'phone' => $phone,
                    'choices' => $known,
                ]);
            }
            $phones[$phone] = $phone;
        }
        if ([] === $phones && [] === $teams) {
            $in->field('phones')->complain('stage-rings-nothing');
        }
        $after = $in->field('after')->whole(0, 600, 'seconds', 0);
        $seconds = $in->field('seconds')->whole(1, 600, 'seconds', 20);

        return [] === $phones && [] === $teams
            ? null
            : new self(array_values($phones), $after, $seconds, array_values(array_unique($teams)));
    }

    /** @return list<Reference> */
    public function references(string $pointer): array
    {
        $references = [];
        foreach ($this->teams as $i => $team) {
            $references[] = new Reference(
                $team,
                \sprintf('%s/teams/%d', $pointer, $i),
                [Kind::Team],
                'rings it in a stage',
            );
        }

        return $references;
    }

    /** @return array{phones: list<string>, teams: list<string>, after: int, seconds: int} */
    public function toJson(): array
    {
        return [
            'phones' => $this->phones,
            'teams' => $this->teams,
            'after' => $this->after,
            'seconds' => $this->seconds,
        ];
    }
}
