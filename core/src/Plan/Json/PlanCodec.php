<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/**
 * Plans to and from their JSON. The shape is published in core/schema/plan.schema.json; encoding is canonical, so
 * that equal plans have equal bytes.
 */
final class PlanCodec
{
    public const FORMAT = 1;
    private const DEEPEST = 128;
    private const FLAGS = \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR;

    /** @throws InvalidData when the text is not JSON, a field is wrong, or the elements do not fit together */
    public static function decode(string $json): Plan
    {
        try {
            $document = json_decode($json, true, self::DEEPEST, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw InvalidData::at('', 'not-a-plan-file', ['reason' => $exception->getMessage()]);
        }

        return self::fromData($document);
    }

    /**
     * A document that was just made from a plan: whether it can be read, and holds together.
     *
     * @throws InvalidData
     */
    public static function readBack(string $json): Plan
    {
        return self::fromData(json_decode($json, true, self::DEEPEST, \JSON_THROW_ON_ERROR), true);
    }

    /** @throws InvalidData */
    public static function fromData(mixed $document, bool $isTrusted = false): Plan
    {
        $plan = self::read($document, $isTrusted);
        $positions = array_flip(array_keys($plan->elements()));
        $problems = [];
        foreach ((new Integrity($plan))->problems() as $id => $found) {
            foreach ($found as $problem) {
                $problems[] = $problem->under('/elements/' . $positions[$id]);
            }
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }

        return $plan;
    }

    /** A stored document: that its elements fit together was checked when it was written. */
    public static function storedPlan(string $json): Plan
    {
        return self::read(json_decode($json, true, self::DEEPEST, \JSON_THROW_ON_ERROR), true);
    }

    /** @throws InvalidData */
    private static function read(mixed $document, bool $isTrusted = false): Plan
    {
        return Input::read(
            $document,
            static function (Input $in): Plan {
                $in->onlyFields(['meandros', 'name', 'elements']);
                $in->field('meandros')->exactly(self::FORMAT, 'not-this-format');
                if (!$in->field('elements')->isNamed()) {
                    $in->field('elements')->complain('elements-missing');
                }
                $elements = [];
                foreach ($in->field('elements')->items(Limits::ELEMENTS) as $item) {
                    $element = self::readElement($item);
                    if (isset($elements[$element?->id() ?? ''])) {
                        $item->field('id')->complain('element-id-twice');
                    }
                    if (null !== $element) {
                        $elements[$element->id()] = $element;
                    }
                }

                return Plan::of($in->field('name')->text(), $elements);
            },
            $isTrusted,
        );
    }

    /** @throws InvalidData */
    public static function element(mixed $data, bool $isTrusted = false): Element
    {
        $element = Input::read($data, self::readElement(...), $isTrusted);
        \assert(null !== $element);

        return $element;
    }

    /** Stored data that was checked when it was written. */
    public static function storedElement(string $json): Element
    {
        return self::element(json_decode($json, true, self::DEEPEST, \JSON_THROW_ON_ERROR), true);
    }

    public static function encode(Plan $plan, bool $pretty = false): string
    {
        $elements = $plan->elements();
        $order = array_flip(array_map(static fn(Kind $kind): string => $kind->value, Kind::cases()));
        uasort(
            $elements,
            static fn(Element $a, Element $b): int => [$order[$a->kind()->value], $a->id()] <=> [
                $order[$b->kind()->value],
                $b->id(),
            ],
        );
        $document = [
            'meandros' => self::FORMAT,
            'name' => $plan->name,
            'elements' => array_map(static fn(Element $element): array => $element->toJson(), array_values($elements)),
        ];

        return json_encode($document, self::FLAGS | ($pretty ? \JSON_PRETTY_PRINT : 0)) . "\n";
    }

    public static function encodeElement(Element $element): string
    {
        return json_encode($element->toJson(), self::FLAGS);
    }

    /** @return array<string, mixed> an element's JSON as it is read */
    public static function data(Element $element): array
    {
        /** @var array<string, mixed> $data */
        $data = json_decode(self::encodeElement($element), true, self::DEEPEST, \JSON_THROW_ON_ERROR);

        return $data;
    }

    /** Null, with a complaint filed, where the kind is not known. */
    public static function readElement(Input $in): ?Element
    {
        $text = $in->field('kind')->exactText(20);
        $kind = Kind::tryFrom($text);
        if (null === $kind) {
            $kinds = array_map(static fn(Kind $case): string => $case->value, Kind::cases());
            $in->field('kind')->complain('not-a-kind', ['kind' => Input::quote($text), 'choices' => $kinds]);

            return null;
        }

        return $kind->elementClass()::fromJson($in);
    }
}
