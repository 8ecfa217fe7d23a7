<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** A place: its time zone, its country, the language spoken there first, and how often a phone rings. */
final readonly class Site implements Element
{
    use Named;
    use WithoutParts;

    /**
     * @param int|null     $cadence    milliseconds from the start of a ring to the start of the next; null for the country's
     * @param list<string> $parkPlaces what is dialled to take a call that waits there, in the order in which they are filled
     */
    public function __construct(
        private About $about,
        public Locality $place,
        public ?int $cadence,
        public array $parkPlaces,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'zone', 'country', 'language', 'address', 'cadence', 'parkPlaces']);

        return new self(
            About::fromJson($in),
            Locality::fromJson($in),
            $in->field('cadence')->optionalWhole(1000, 20000, 'milliseconds'),
            self::places($in->field('parkPlaces')),
        );
    }

    /** @return list<string> */
    private static function places(Input $in): array
    {
        $places = [];
        foreach ($in->items(Limits::PARK_PLACES) as $item) {
            $place = $item->exactText(6);
            if ('' !== $place && 1 !== preg_match('/^[0-9]{2,6}$/D', $place)) {
                $item->complain('park-place-not-dialled', ['place' => Input::quote($place)]);
            }
            if (Lists::has($places, $place)) {
                $item->complain('park-place-twice', ['place' => $place]);
            }
            $places[] = $place;
        }

        return $places;
    }

    public function kind(): Kind
    {
        return Kind::Site;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'zone' => $this->place->zone,
            'country' => $this->place->country,
            'language' => $this->place->language,
            'address' => $this->place->address,
            'cadence' => $this->cadence,
            'parkPlaces' => $this->parkPlaces,
        ];
    }

    public function references(): array
    {
        return [];
    }
}
