<?php

declare(strict_types=1);

namespace Meandros\Core\Outside;

use libphonenumber\PhoneNumberType;
use libphonenumber\PhoneNumberUtil;

/** What a number in E.164 belongs to, by libphonenumber: its country, its area, mobile or premium. */
final readonly class PhoneRange
{
    private function __construct(
        public string $country,
        public string $area,
        public bool $isMobile,
        public bool $isPremium,
    ) {}

    public static function of(string $e164): self
    {
        $util = PhoneNumberUtil::getInstance();
        $number = $util->parse($e164);
        // Several countries may share a code, such as +1; ranges reserved for fiction belong to none of them.
        $country =
            $util->getRegionCodeForNumber($number) ??
            (string) $util->getRegionCodeForCountryCode($number->getCountryCode() ?? 0);
        $national = $util->getNationalSignificantNumber($number);
        $type = $util->getNumberType($number);
        // Ranges reserved for fiction are not allocated, so they have no type: their first digit tells mobiles.
        $mobile =
            PhoneNumberType::UNKNOWN === $type
                ? self::looksMobile($national, $country)
                : PhoneNumberType::MOBILE === $type;

        return new self(
            $country,
            $mobile ? '' : substr($national, 0, $util->getLengthOfNationalDestinationCode($number)),
            $mobile,
            PhoneNumberType::PREMIUM_RATE === $type,
        );
    }

    /** What is dialled from a country, digits only. */
    public static function dialled(string $e164, string $country): string
    {
        $util = PhoneNumberUtil::getInstance();

        return (string) preg_replace('/\D/', '', $util->formatOutOfCountryCallingNumber($util->parse($e164), $country));
    }

    private static function looksMobile(string $national, string $country): bool
    {
        $example =
            PhoneNumberUtil::getInstance()
                ->getExampleNumberForType($country, PhoneNumberType::MOBILE)
                ?->getNationalNumber() ?? '';

        return '' !== $example && \strlen($example) === \strlen($national) && $example[0] === $national[0];
    }
}
