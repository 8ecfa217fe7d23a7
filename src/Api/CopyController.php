<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Copy\Copies;
use Meandros\Core\Plan\Copy\Copy;
use Meandros\Core\Plan\Copy\Copyable;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Copies of elements of the draft, with what they use. */
#[Route('/api/plans/draft/elements/{id}/copy')]
final readonly class CopyController
{
    /** With what it uses. */
    private const MOST = 500;

    public function __construct(private Draft $draft) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('', methods: ['GET'])]
    public function along(string $id): JsonResponse
    {
        $plan = $this->draft->plan();

        return new JsonResponse([
            'elements' => array_map(
                static fn(Copyable $one): array => $one->toJson(),
                Copies::along($plan, self::copied($plan, $id)),
            ),
        ]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('', methods: ['POST'])]
    public function copy(string $id, Request $request): JsonResponse
    {
        [$name, $along, $instead] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['name', 'along', 'instead']);

            return [
                $in->field('name')->text(),
                self::pairs($in->field('along'), 'name', static fn(Input $name): string => $name->text()),
                self::pairs($in->field('instead'), 'put', static fn(Input $put): string => $put->text(80)),
            ];
        });
        $names = [$id => $name] + $along;
        $made = '';
        $change = $this->draft->writeAll(static function (Plan $plan) use ($id, $names, $instead, &$made): PlannedEdit {
            $of = self::copied($plan, $id);
            $copies = self::copies($plan, $names);
            self::demandOthers($plan, $instead);
            $made = $copies[$id]->id;

            return PlannedEdit::of(\sprintf('Copy %s', $of->name()), Copies::of($plan, $copies, $instead));
        });

        return new JsonResponse(['id' => $made] + $change->toJson(), 201);
    }

    /**
     * @param literal-string          $field
     * @param \Closure(Input): string $read
     *
     * @return array<string, string> by id
     */
    private static function pairs(Input $in, string $field, \Closure $read): array
    {
        $pairs = [];
        foreach ($in->items(self::MOST) as $item) {
            $item->onlyFields(['id', $field]);
            $pairs[$item->field('id')->text(80)] = $read($item->field($field));
        }

        return $pairs;
    }

    /**
     * @param array<string, string> $names
     *
     * @return array<string, Copy>
     *
     * @throws InvalidData
     */
    private static function copies(Plan $plan, array $names): array
    {
        $copies = $problems = [];
        foreach (array_keys($names) as $i => $id) {
            $kind = $plan->kindOf((string) $id);
            if (null === $kind || !Copies::mayBe($kind)) {
                // The first is what is copied itself.
                $problems[] = new Problem(\sprintf('/along/%d/id', $i - 1), 'not-copied');
            } else {
                $copies[$id] = new Copy(NewId::of($kind), $names[$id]);
            }
        }

        return [] === $problems ? $copies : throw new InvalidData($problems);
    }

    /**
     * @param array<string, string> $instead
     *
     * @throws InvalidData
     */
    private static function demandOthers(Plan $plan, array $instead): void
    {
        $problems = [];
        foreach (array_values($instead) as $i => $other) {
            null === $plan->kindOf($other) &&
                ($problems[] = new Problem(\sprintf('/instead/%d/put', $i), 'not-another-element'));
        }
        if ([] !== $problems) {
            throw new InvalidData($problems);
        }
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    private static function copied(Plan $plan, string $id): Element
    {
        $element =
            $plan->find($id) ??
            throw new NotFound(\sprintf('There is no element "%s" in the draft.', Input::quote($id)));

        return Copies::mayBe($element->kind()) ? $element : throw InvalidData::at('', 'not-copied');
    }
}
