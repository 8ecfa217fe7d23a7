<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

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
    public function __construct(public string $match, public string $name = '', public string $label = '') {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['match', 'name', 'label']);
        $field = $in->field('match');
        $match = $field->exactText(40);
        if (!self::isOne($match)) {
            $field->complain('not-a-match', ['match' => Input::quote($match), 'choices' => self::KINDS]);
        }

        if (1 === preg_match(self::COUNTRY, $match) && !PhoneNumber::knowsCountry($match)) {
            $field->complain('not-a-country', ['country' => $match]);
        }

        return new self($match, $in->field('name')->optionalText(), $in->field('label')->optionalText(Limits::LABEL));
    }

    private static function isOne(string $match): bool
    {
        return Lists::has(self::KINDS, $match) ||
            1 === preg_match(PhoneNumber::E164, $match) ||
            1 === preg_match('/^\+[1-9][0-9]{0,13}\*$/D', $match) ||
            1 === preg_match(self::COUNTRY, $match);
    }

    /**
     * @param string $line match, name and label parted by tabs
     *
     * @throws InvalidData
     */
    public static function ofLine(string $line): self
    {
        $cells = explode("\t", $line);
        if (\count($cells) > 3) {
            throw InvalidData::at('', 'too-many-cells');
        }

        return Input::read(
            ['match' => $cells[0], 'name' => $cells[1] ?? '', 'label' => $cells[2] ?? ''],
            self::fromJson(...),
        );
    }

    /** A line that was read and checked before. */
    public static function ofKept(string $line): self
    {
        $cells = explode("\t", $line);

        return new self($cells[0], $cells[1] ?? '', $cells[2] ?? '');
    }

    public function line(): string
    {
        $plain = static fn(string $text): string => strtr($text, "\t\n\r", '   ');

        return rtrim($this->match . "\t" . $plain($this->name) . "\t" . $plain($this->label), "\t");
    }

    /** @return array{match: string, name: string, label: string} */
    public function toJson(): array
    {
        return ['match' => $this->match, 'name' => $this->name, 'label' => $this->label];
    }
}
