<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Cards;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Property;

/** People as vCards (RFC 6350), read and written with sabre/vobject. Extensions, sites and desk phones are in X- properties. */
final class PeopleCards
{
    private const EXTENSION = 'X-MEANDROS-EXTENSION';
    private const SITE = 'X-MEANDROS-SITE';
    private const PHONE = 'X-MEANDROS-PHONE';
    private const MAILBOX = 'X-MEANDROS-MAILBOX';
    private const MOST_BYTES = 4_000_000;
    /** Cards with a picture are some hundred lines long; it is passed over, and it takes time. */
    private const MOST_LINES = 50_000;

    /**
     * @return list<PersonRow>
     *
     * @throws InvalidData at "/text"
     */
    public static function read(string $text): array
    {
        if (\strlen($text) > self::MOST_BYTES || !mb_check_encoding($text, 'UTF-8')) {
            throw InvalidData::at('/text', 'cards-not-text');
        }
        if (
            substr_count($text, "\n") > self::MOST_LINES ||
            preg_match_all('/^BEGIN:VCARD/mi', $text) > Limits::PEOPLE
        ) {
            throw InvalidData::at('/text', 'cards-too-many', ['people' => Limits::PEOPLE, 'lines' => self::MOST_LINES]);
        }
        $rows = [];
        foreach (Cards::in($text) as [$line, $card]) {
            $rows[] = self::row($line, $card);
        }

        return [] === $rows ? throw InvalidData::at('/text', 'cards-missing') : $rows;
    }

    private static function row(int $line, Component $card): PersonRow
    {
        $outside = [];
        $extension = self::texts($card, self::EXTENSION)[0] ?? '';
        foreach ($card->select('TEL') as $property) {
            // Nobody answers a fax machine.
            if (!($property instanceof Property) || Lists::has(Cards::kinds($property), 'fax')) {
                continue;
            }
            $number = (string) preg_replace('/^tel:/i', '', (string) $property->getValue());
            // An ";ext=" is a colleague's switchboard; the number before it is what can be dialled.
            [$number] = explode(';', $number);
            if (1 === preg_match('/^[0-9]{2,6}$/D', $number)) {
                $extension = '' === $extension ? $number : $extension;
            } elseif ('' !== $number) {
                $outside[] = (Lists::has(Cards::kinds($property), 'cell') ? 'Mobile ' : 'Phone ') . $number;
            }
        }
        $phones = ['desk' => [], 'soft' => []];
        foreach (self::texts($card, self::PHONE) as $text) {
            [$type, $label] = explode(':', $text, 2) + [1 => ''];
            if (isset($phones[$type])) {
                $phones[$type][] = $label;
            }
        }

        return new PersonRow(
            $line,
            self::texts($card, 'FN')[0] ?? '',
            $extension,
            self::texts($card, self::SITE)[0] ?? '',
            new RowPhones($phones['desk'], $phones['soft'], $outside),
            self::texts($card, self::MAILBOX)[0] ?? '',
        );
    }

    /** @return list<string> */
    private static function texts(Component $card, string $name): array
    {
        $texts = [];
        foreach ($card->select($name) as $property) {
            $value = $property instanceof Property ? $property->getValue() : null;
            if (\is_string($value) && '' !== trim($value)) {
                $texts[] = trim($value);
            }
        }

        return $texts;
    }

    public static function write(Plan $plan): string
    {
        $text = '';
        foreach ($plan->all(Person::class) as $person) {
            $card = new VCard(
                ['VERSION' => '4.0', 'UID' => 'urn:meandros:' . $person->id(), 'FN' => $person->name()],
                false,
            );
            foreach (
                array_filter([
                    self::EXTENSION => $person->known->extension,
                    self::SITE => $plan->get(Site::class, $person->site)?->name() ?? '',
                    self::MAILBOX => $plan->get(Mailbox::class, $person->reach->mailbox)?->name() ?? '',
                ])
                as $name => $value
            ) {
                $card->add($name, $value);
            }
            foreach ($person->reach->phones as $phone) {
                PhoneType::Outside === $phone->type
                    ? $card->add('TEL', 'tel:' . $phone->number(), [
                        'VALUE' => 'uri',
                        'TYPE' => 'Mobile' === $phone->label ? 'cell' : 'voice',
                    ])
                    : $card->add(self::PHONE, $phone->type->value . ':' . $phone->label);
            }
            $text .= $card->serialize();
        }

        return $text;
    }
}
