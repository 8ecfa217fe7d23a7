<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Directory\DirectoryView;
use Meandros\Core\Directory\Reached;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Who is found how by a directory step, as it stands or as it is about to be. */
final readonly class DirectoryController
{
    private const MOST_ROWS = 200;
    private const MOST_ALIKE = 10;

    public function __construct(private Plans $plans) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/directories', methods: ['POST'])]
    public function look(Request $request): JsonResponse
    {
        [$plan, $step, $find] = JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['in', 'step', 'find']);

            return [
                $this->plans->get($in->field('in')->isGiven() ? $in->field('in')->text(12) : 'draft'),
                DirectoryStep::fromJson($in->field('step')),
                $in->field('find')->optionalText(80),
            ];
        });
        $all = DirectoryView::of($plan, $step);
        $found =
            '' === $find
                ? $all
                : array_values(
                    array_filter(
                        $all,
                        static fn(Reached $one): bool => false !== mb_stripos($one->person->name(), $find),
                    ),
                );

        return new JsonResponse([
            'people' => \count($all),
            'never' => \count(array_filter($all, static fn(Reached $one): bool => null === $one->presses)),
            'chosen' => \count(
                array_filter($all, static fn(Reached $one): bool => null !== $one->presses && [] !== $one->alike),
            ),
            'found' => \count($found),
            'rows' => array_map(self::row(...), \array_slice($found, 0, self::MOST_ROWS)),
            'notListed' => self::notListed($plan),
        ]);
    }

    /** @return array<string, mixed> */
    private static function row(Reached $one): array
    {
        return [
            'person' => $one->person->id(),
            'keys' => $one->keys,
            'presses' => $one->presses,
            'alike' => array_map(
                static fn(Person $other): string => $other->id(),
                \array_slice($one->alike, 0, self::MOST_ALIKE),
            ),
        ];
    }

    /** @return list<array{person: string, reason: string}> */
    private static function notListed(Plan $plan): array
    {
        $people = array_filter(
            $plan->all(Person::class),
            static fn(Person $person): bool => !$person->known->listing->on,
        );

        return array_map(
            static fn(Person $person): array => [
                'person' => $person->id(),
                'reason' => $person->known->listing->reason,
            ],
            \array_slice(array_values($people), 0, self::MOST_ROWS),
        );
    }
}
