<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Patterns\Ask;
use Meandros\Core\Patterns\Pattern;
use Meandros\Core\Patterns\Patterns;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\PlannedEdit;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Journeys that begin from a pattern. */
final readonly class PatternController
{
    public function __construct(private Draft $draft) {}

    #[Route('/api/journey-patterns', methods: ['GET'])]
    public function list(): JsonResponse
    {
        $patterns = array_map(
            static fn(Pattern $pattern): array => array_map(self::ask(...), $pattern->asks()),
            Patterns::all(),
        );

        return new JsonResponse([
            'patterns' => array_map(
                static fn(string $name, array $asks): array => ['name' => $name, 'asks' => $asks],
                array_keys($patterns),
                array_values($patterns),
            ),
        ]);
    }

    /** @throws InvalidData */
    #[Route('/api/plans/draft/journeys', methods: ['POST'])]
    public function make(Request $request): JsonResponse
    {
        $id = NewId::of(Kind::Journey);
        $data = JsonBody::data($request);
        $change = $this->draft->writeAll(static function (Plan $plan) use ($data, $id): PlannedEdit {
            $journey = Input::read($data, static fn(Input $in) => Patterns::read($in, $plan, $id));

            return null === $journey
                ? PlannedEdit::of('Nothing', [])
                : PlannedEdit::of(\sprintf('Add %s', $journey->name()), [$journey]);
        });

        return new JsonResponse(['id' => $id] + $change->toJson(), 201);
    }

    /** @return array{key: string, kinds: list<string>, optional: bool} */
    private static function ask(Ask $ask): array
    {
        return [
            'key' => $ask->key,
            'kinds' => array_map(static fn(Kind $kind): string => $kind->value, $ask->kinds),
            'optional' => $ask->isOptional,
        ];
    }
}
