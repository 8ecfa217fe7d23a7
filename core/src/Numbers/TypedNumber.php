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
     * As it is dialled in the first country in which such numbers are given out, else in the first in which it could be one: in one
     * whose code it has, where there is any.
     *
     * @param list<string> $countries
     *
     * @throws InvalidData at the document root, when it is none in any of them
     */
    public static function in(array $countries, string $text): self
    {
        $invalid = $possible = null;
        $isPossible = false;
        foreach ([] === $countries ? [PhoneNumber::ANYWHERE] : array_unique($countries) as $country) {
            try {
                $isBeginning = str_ends_with($text, '*');
                $number = $isBeginning
                    ? PhoneNumber::beginning((string) preg_replace('/[^0-9+]/', '', $text), $country) . '*'
                    : PhoneNumber::parse($text, $country);
                $typed = new self($number, $country);
                $isOwn = PhoneNumber::isOf($number, $country);
                if ($isOwn && ($isBeginning || PhoneNumber::isGivenOut($number))) {
                    return $typed;
                }
                $possible = $isOwn && !$isPossible ? $typed : $possible ?? $typed;
                $isPossible = $isPossible || $isOwn;
            } catch (InvalidData $none) {
                $invalid ??= $none;
            }
        }

        return $possible ?? throw $invalid;
    }
}
