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
    ) {}

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
        $phones = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'does', 'after']);
            $who = $item->field('who')->once($phones);
            /** @var Behaviour $does */
            $does = $item->field('does')->oneOf(Behaviour::class, Behaviour::Answers);
            $phones[$who] = new PhoneAssumption($who, $does, $item->field('after')->optionalWhole(0, 3600, 'seconds'));
        }

        return array_values($phones);
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
