<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\InvalidData;

/** A number, or what numbers begin with, as it is dialled in one of several countries. */
final readonly class TypedNumber
{
    /**
     * @param string $number  E.164, with * where it is a beginning
     * @param string $country in which it is dialled so, ISO 3166-1 alpha-2
     */
    private function __construct(public string $number, public string $country) {}

    /**
     * As it is dialled in the first country in which such numbers are given out, else in the first in which it could be one.
     *
     * @param list<string> $countries
     *
     * @throws InvalidData at the document root, when it is none in any of them
     */
    public static function in(array $countries, string $text): self
    {
        $invalid = $possible = null;
        foreach ([] === $countries ? [PhoneNumber::ANYWHERE] : array_unique($countries) as $country) {
            try {
                if (str_ends_with($text, '*')) {
                    $digits = (string) preg_replace('/[^0-9+]/', '', $text);

                    return new self(PhoneNumber::beginning($digits, $country) . '*', $country);
                }
                $typed = new self(PhoneNumber::parse($text, $country), $country);
                if (PhoneNumber::isGivenOut($typed->number)) {
                    return $typed;
                }
                $possible ??= $typed;
            } catch (InvalidData $none) {
                $invalid ??= $none;
            }
        }

        return $possible ?? throw $invalid;
    }
}
