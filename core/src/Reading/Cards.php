<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

use Sabre\VObject\Component;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Sabre\VObject\Splitter\VCard as Splitter;

/** The cards of an address book (vCard, RFC 6350). */
final class Cards
{
    /**
     * @return iterable<array{int, Component}> in their order, each with the line at which it begins
     *
     * @throws InvalidData at "/text", while they are looked at
     */
    public static function in(string $text): iterable
    {
        $lines = self::lines($text);
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fwrite($stream, $text);
        rewind($stream);
        $n = 0;
        try {
            $cards = new Splitter($stream, Reader::OPTION_FORGIVING);
            while (isset($lines[$n]) && null !== ($card = $cards->getNext())) {
                yield [$lines[$n++], $card];
            }
        } catch (ParseException $exception) {
            throw InvalidData::at('/text', 'card-unreadable', [
                'line' => $lines[$n],
                'reason' => rtrim($exception->getMessage(), '.'),
            ]);
        }
    }

    /** @return list<string> lower-case words of the kind of a number: "cell", "fax" (RFC 6350, 6.4.1) */
    public static function kinds(Property $number): array
    {
        $type = $number->parameters()['TYPE'] ?? null;
        $words = $type instanceof Parameter ? array_filter($type->getParts(), \is_string(...)) : [];

        return explode(',', strtolower(implode(',', $words)));
    }

    /**
     * @return list<int> at which cards begin
     *
     * @throws InvalidData where one has no end: the file was cut off
     */
    private static function lines(string $text): array
    {
        $lines = [];
        $open = null;
        foreach (preg_split('/\R/', $text) ?: [] as $i => $line) {
            $marks = strtoupper(trim($line));
            $begins = 'BEGIN:VCARD' === $marks;
            if ($begins && null !== $open) {
                break;
            }
            if ($begins) {
                $lines[] = $open = $i + 1;
            }
            $open = 'END:VCARD' === $marks ? null : $open;
        }
        if (null !== $open) {
            throw InvalidData::at('/text', 'card-without-end', ['line' => $open]);
        }

        return $lines;
    }
}
