<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Json\ZoneReader;
use Meandros\Core\Plan\Language;
use Meandros\Core\Reading\Input;

/** Where a site is: its time zone, its country, and the language spoken there first. */
final readonly class Locality
{
    /**
     * @param string $zone    IANA
     * @param string $country ISO 3166-1 alpha-2
     */
    public function __construct(
        public string $zone,
        public string $country,
        public string $language,
        public string $address,
    ) {}

    /** @param Input $in the site */
    public static function fromJson(Input $in): self
    {
        $zone = ZoneReader::read($in->field('zone'));
        $country = $in->field('country')->exactText(200);
        if ('' !== $country && !PhoneNumber::knowsCountry($country)) {
            $in->field('country')->complain('not-a-country', ['country' => Input::quote($country)]);
        }

        return new self(
            $zone,
            $country,
            Language::read($in->field('language')),
            $in->field('address')->optionalText(400),
        );
    }
}
