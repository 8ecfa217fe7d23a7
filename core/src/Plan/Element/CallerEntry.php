<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;

/** Callers who are recognised: one number, all that begin alike, a country, or a kind. */
final readonly class CallerEntry
{
    public const MOBILE = 'mobile';
    public const FIXED = 'fixed';
    public const INTERNAL = 'internal';
    private const COUNTRY = '/^[A-Z]{2}$/D';
    private const KINDS = [Caller::WITHHELD, self::INTERNAL, self::MOBILE, self::FIXED];

    /**
     * @param string $match a number in E.164, a beginning such as "+4420*", a country such as "GB", or one of the kinds
     * @param string $label that the answerer sees, where there is one
     */
    public function __construct(public string $match, public string $name = '', public string $label = '')
    {
    }

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['match', 'name', 'label']);
        $field = $in->field('match');
        $match = $field->exactText(40);
        if (!self::isOne($match)) {
            $field->complain(\sprintf('"%s" tells no callers apart.', Input::quote($match)), 'Write a number in E.164, a beginning such as +4420*, a country such as GB, or one of: '.implode(', ', self::KINDS).'.');
        }

        if (1 === preg_match(self::COUNTRY, $match) && !PhoneNumber::knowsCountry($match)) {
            $field->complain(\sprintf('"%s" is not a country.', $match), 'Use a two-letter code such as GB or FR.');
        }

        return new self($match, $in->field('name')->optionalText(), $in->field('label')->optionalText(80));
    }

    private static function isOne(string $match): bool
    {
        return \in_array($match, self::KINDS, true) || 1 === preg_match(PhoneNumber::E164, $match) || 1 === preg_match('/^\+[1-9][0-9]{0,13}\*$/D', $match)
            || 1 === preg_match(self::COUNTRY, $match);
    }

    /** @return array{match: string, name: string, label: string} */
    public function toJson(): array
    {
        return ['match' => $this->match, 'name' => $this->name, 'label' => $this->label];
    }
}
