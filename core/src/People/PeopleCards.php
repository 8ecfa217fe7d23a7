<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Sabre\VObject\Splitter\VCard as Splitter;

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
        $lines = self::lines($text);
        if ([] === $lines) {
            throw InvalidData::at('/text', 'cards-missing');
        }
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        try {
            $cards = new Splitter($stream, Reader::OPTION_FORGIVING);
            while (null !== ($card = $cards->getNext())) {
                $rows[] = self::row($lines[\count($rows)] ?? 0, $card);
            }
        } catch (ParseException $exception) {
            throw InvalidData::at('/text', 'card-unreadable', [
                'line' => $lines[\count($rows)] ?? 0,
                'reason' => rtrim($exception->getMessage(), '.'),
            ]);
        }

        return $rows;
    }

    /**
     * @return list<int> the line at which each card starts
     *
     * @throws InvalidData
     */
    private static function lines(string $text): array
    {
        if (
            substr_count($text, "\n") > self::MOST_LINES ||
            preg_match_all('/^BEGIN:VCARD/mi', $text) > Limits::PEOPLE
        ) {
            throw InvalidData::at('/text', 'cards-too-many', ['people' => Limits::PEOPLE, 'lines' => self::MOST_LINES]);
        }
        $lines = [];
        foreach (preg_split('/\R/', $text) ?: [] as $i => $line) {
            if (0 === strcasecmp(trim($line), 'BEGIN:VCARD')) {
                $lines[] = $i + 1;
            }
        }

        return $lines;
    }

    private static function row(int $line, Component $card): PersonRow
    {
        $outside = [];
        $extension = self::texts($card, self::EXTENSION)[0] ?? '';
        foreach ($card->select('TEL') as $property) {
            if (!($property instanceof Property)) {
                continue;
            }
            $number = (string) preg_replace('/^tel:/i', '', (string) $property->getValue());
            // An ";ext=" is a colleague's switchboard; the number before it is what can be dialled.
            [$number] = explode(';', $number);
            if (1 === preg_match('/^[0-9]{2,6}$/D', $number)) {
                $extension = '' === $extension ? $number : $extension;
            } elseif ('' !== $number) {
                $outside[] = (self::isMobile($property) ? 'Mobile ' : 'Phone ') . $number;
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

    private static function isMobile(Property $property): bool
    {
        $type = $property->parameters()['TYPE'] ?? null;
        $words = $type instanceof Parameter ? implode(',', array_filter($type->getParts(), \is_string(...))) : '';

        return Lists::has(explode(',', strtolower($words)), 'cell');
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
