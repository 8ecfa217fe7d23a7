<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/**
 * What a trial call takes for granted. With nothing stated callers press nothing and wait for ever, phones are
 * reachable and idle, and nobody answers: that shows the whole overflow.
 */
final readonly class Assumptions
{
    public const EVERY_PHONE = '*';

    /** Whether phones do something else in the course of the call. */
    private bool $change;

    /**
     * @param list<PhoneAssumption> $phones  the most particular one holds: phone, then person, then every phone
     * @param Earlier               $earlier what earlier calls left behind
     * @param Parked                $parked  what becomes of a call that is parked
     */
    public function __construct(
        public CallerActs $caller = new CallerActs(),
        public array $phones = [],
        public Circumstances $circumstances = new Circumstances(),
        public Earlier $earlier = new Earlier(),
        public Parked $parked = new Parked(),
    ) {
        $change = false;
        foreach ($phones as $phone) {
            $change = $change || $phone->from > 0;
        }
        $this->change = $change;
    }

    /** @throws InvalidData */
    public static function fromData(mixed $data): self
    {
        return Input::read($data, self::fromJson(...));
    }

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields([...CallerActs::FIELDS, 'phones', ...Circumstances::FIELDS, 'earlier', 'parked']);

        return new self(
            CallerActs::fromJson($in),
            self::phones($in->field('phones')),
            Circumstances::fromJson($in),
            Earlier::fromJson($in->field('earlier')),
            Parked::fromJson($in->field('parked')),
        );
    }

    /** @return list<PhoneAssumption> */
    private static function phones(Input $in): array
    {
        $phones = $said = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'does', 'after', 'from']);
            $from = $item->field('from')->whole(0, TrialCall::MOST_SECONDS, 'seconds', 0);
            $who = $item->field('who')->once($said[$from] ?? []);
            /** @var Behaviour $does */
            $does = $item->field('does')->oneOf(Behaviour::class, Behaviour::Answers);
            $said[$from][$who] = true;
            $phones[] = new PhoneAssumption(
                $who,
                $does,
                $item->field('after')->optionalWhole(0, 3600, 'seconds'),
                $from,
            );
        }

        return $phones;
    }

    /** What holds at a second of the call. */
    public function at(int $second): self
    {
        if (!$this->change) {
            return $this;
        }
        $phones = [];
        foreach ($this->phones as $phone) {
            if ($phone->from <= $second && $phone->from >= ($phones[$phone->who] ?? $phone)->from) {
                $phones[$phone->who] = $phone;
            }
        }

        return new self($this->caller, array_values($phones), $this->circumstances, $this->earlier, $this->parked);
    }

    /** The first second after one from which on something else holds. */
    public function until(int $second): int
    {
        $until = \PHP_INT_MAX;
        foreach ($this->change ? $this->phones : [] as $phone) {
            $until = $phone->from > $second ? min($until, $phone->from) : $until;
        }

        return $until;
    }

    /** Equal where phones do the same, whenever it was said. */
    public function ofPhones(): string
    {
        $all = implode(' ', $this->circumstances->sitesDown);
        foreach ($this->phones as $phone) {
            $all .= "\n" . $phone->who . ' ' . $phone->does->value . ' ' . $phone->afterSeconds;
        }

        return $all;
    }

    /** Whether somebody answers, or may while on another call: that depends on for how long their phone rang before. */
    public function somebodyAnswers(): bool
    {
        foreach ($this->phones as $phone) {
            if (Behaviour::Answers === $phone->does || Behaviour::OnACall === $phone->does) {
                return true;
            }
        }

        return false;
    }

    /** @param list<string> $names of the phone, the most particular first */
    public function of(array $names): PhoneAssumption
    {
        foreach ([...$names, self::EVERY_PHONE] as $name) {
            foreach ($this->phones as $assumption) {
                if ($assumption->who === $name) {
                    return $assumption;
                }
            }
        }

        return new PhoneAssumption($names[0] ?? self::EVERY_PHONE, Behaviour::Rings);
    }
}
