<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumber as LibPhoneNumber;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use libphonenumber\ShortNumberInfo;
use libphonenumber\ValidationResult;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Value\Lists;

/**
 * Phone numbers as ITU-T E.164 text (`+441632960100`), read from what people type with libphonenumber.
 *
 * A number of a possible length is taken, allocated or not: ranges reserved for fiction are not allocated.
 */
final class PhoneNumber
{
    /** Where a number is dialled as E.164 writes it, in no country's own way: the code of no country. */
    public const ANYWHERE = 'ZZ';
    /** As typed, with spaces, brackets and dots. */
    private const LONGEST = 60;
    /** The shape of a number in E.164, with its plus sign: a country code and up to 15 digits in all. */
    public const E164 = '/^\+[1-9][0-9]{4,14}$/D';

    /** @return list<string> countries with numbers of their own, ISO 3166-1 alpha-2, by code */
    public static function countries(): array
    {
        $countries = PhoneNumberUtil::getInstance()->getSupportedRegions();
        sort($countries);

        return $countries;
    }

    public static function knowsCountry(string $country): bool
    {
        return Lists::has(PhoneNumberUtil::getInstance()->getSupportedRegions(), $country);
    }

    /**
     * @param string $country whose national format is understood, ISO 3166-1 alpha-2
     *
     * @throws InvalidData at the document root
     */
    public static function parse(string $text, string $country): string
    {
        if (\strlen($text) > self::LONGEST) {
            throw InvalidData::at('', 'number-too-long', ['number' => Input::quote($text)]);
        }
        $util = PhoneNumberUtil::getInstance();
        if (ShortNumberInfo::getInstance()->isEmergencyNumber($text, $country)) {
            throw InvalidData::at('', 'number-of-emergencies', ['number' => Input::quote($text)]);
        }
        try {
            $number = $util->parse($text, $country);
        } catch (NumberParseException) {
            throw InvalidData::at('', 'not-a-number', ['number' => Input::quote($text)]);
        }
        $reason = match ($util->isPossibleNumberWithReason($number)) {
            ValidationResult::TOO_SHORT, ValidationResult::IS_POSSIBLE_LOCAL_ONLY => 'number-has-too-few-digits',
            ValidationResult::TOO_LONG => 'number-has-too-many-digits',
            ValidationResult::INVALID_COUNTRY_CODE => 'number-of-unknown-country',
            ValidationResult::INVALID_LENGTH => 'number-of-wrong-length',
            ValidationResult::IS_POSSIBLE => !str_contains($text, '+') && self::keepsItsPrefix($number)
                ? 'number-has-too-few-digits'
                : null,
        };
        if (null !== $reason || $number->hasExtension()) {
            throw InvalidData::at('', $reason ?? 'number-with-extension', ['number' => Input::quote($text)]);
        }

        return $util->format($number, PhoneNumberFormat::E164);
    }

    /** Whether libphonenumber left the prefix of calls within a country, as what follows is too short: no number begins so there. */
    private static function keepsItsPrefix(LibPhoneNumber $number): bool
    {
        if (true !== $number->isItalianLeadingZero()) {
            return false;
        }
        $util = PhoneNumberUtil::getInstance();
        $country = $util->getRegionCodeForCountryCode($number->getCountryCode() ?? 0);

        return '0' === $util->getMetadataForRegion($country)?->getNationalPrefix() && !$util->isValidNumber($number);
    }

    /** Whether its range is given out to anybody, by libphonenumber: those reserved for fiction are not. */
    public static function isGivenOut(string $e164): bool
    {
        $util = PhoneNumberUtil::getInstance();

        return $util->isValidNumber($util->parse($e164));
    }

    /** Whether a number, or a beginning of numbers, has the code of a country: others may have the same. */
    public static function isOf(string $e164, string $country): bool
    {
        return str_starts_with($e164, '+' . PhoneNumberUtil::getInstance()->getCountryCodeForRegion($country));
    }

    /** A beginning of numbers as it is dialled in a country, in international form: "020" is "+4420". */
    public static function beginning(string $digits, string $country): string
    {
        $metadata = PhoneNumberUtil::getInstance()->getMetadataForRegion($country);
        $prefix = $metadata?->getNationalPrefix() ?? '';
        if (null === $metadata || '' === $digits || str_starts_with($digits, '+')) {
            return $digits;
        }

        return '+' .
            $metadata->getCountryCode() .
            ('' !== $prefix && str_starts_with($digits, $prefix) ? substr($digits, \strlen($prefix)) : $digits);
    }

    /** International form for reading, with spaces. */
    public static function international(string $e164): string
    {
        if (str_ends_with($e164, '*')) {
            return self::international(substr($e164, 0, -1)) . ' …';
        }
        try {
            $util = PhoneNumberUtil::getInstance();

            return $util->format($util->parse($e164), PhoneNumberFormat::INTERNATIONAL);
        } catch (NumberParseException) {
            return $e164;
        }
    }

    /** A number as a plan keeps it: written in E.164, and of a possible length. */
    public static function readE164(Input $in): string
    {
        $text = $in->exactText(40);
        if ('' === $text) {
            return '';
        }
        if (1 !== preg_match(self::E164, $text)) {
            $in->complain('not-international', ['number' => Input::quote($text)]);

            return $text;
        }
        if ($in->isTrusted()) {
            return $text;
        }
        try {
            return self::parse($text, self::ANYWHERE);
        } catch (InvalidData $invalid) {
            $in->take($invalid);

            return $text;
        }
    }
}
