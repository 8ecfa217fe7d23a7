<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Json\ZoneReader;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Language;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** A place: its time zone, its country, the language spoken there first, and how often a phone rings. */
final readonly class Site implements Element
{
    use Named;
    use WithoutParts;

    /**
     * @param string   $country ISO 3166-1 alpha-2
     * @param int|null $cadence milliseconds from the start of a ring to the start of the next; null for the country's
     */
    public function __construct(
        private string $id,
        private string $name,
        public string $zone,
        public string $country,
        public string $language,
        public string $address = '',
        public ?int $cadence = null,
    ) {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'zone', 'country', 'language', 'address', 'cadence']);
        $zone = ZoneReader::read($in->field('zone'));
        $country = $in->field('country')->exactText(200);
        if ('' !== $country && !PhoneNumber::knowsCountry($country)) {
            $in->field('country')->complain(\sprintf('"%s" is not a country.', Input::quote($country)), 'Use a two-letter code such as GB or FR.');
        }

        return new self($in->field('id')->id(), $in->field('name')->text(), $zone, $country, Language::read($in->field('language')), $in->field('address')->optionalText(400), $in->field('cadence')->optionalWhole(1000, 20000, 'milliseconds'));
    }

    public function ringMilliseconds(): int
    {
        return $this->cadence ?? RingCadence::ofCountry($this->country);
    }

    public function kind(): Kind
    {
        return Kind::Site;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'kind' => 'site', 'name' => $this->name, 'zone' => $this->zone, 'country' => $this->country, 'language' => $this->language, 'address' => $this->address, 'cadence' => $this->cadence];
    }

    public function references(): array
    {
        return [];
    }
}
