<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reworded;
use Meandros\Core\Plan\Rewording;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\PlannedEdit;
use Meandros\Server\Storage\WordedPlaces;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** Other words in the place of some, wherever they stand in the draft. */
#[Route('/api/plans/draft/rewording')]
final readonly class RewordingController
{
    private const LEAST = 3;
    private const LONGEST = 100;
    /** Elements of one edit. */
    private const MOST = 500;

    public function __construct(private Draft $draft, private WordedPlaces $places, private MachineVoice $machine) {}

    /** @throws InvalidData */
    #[Route('/look', methods: ['POST'])]
    public function look(Request $request): JsonResponse
    {
        [$words, $put] = JsonBody::read($request, static fn(Input $in): array => self::asked($in, ['words', 'put']));
        $rewording = new Rewording($words, $put);
        $told = [];
        foreach ($this->found($this->draft->plan(), $words) as $element) {
            $places = array_map(
                static fn(Reworded $one): array => [
                    'pointer' => $one->worded->pointer,
                    'step' => $one->worded->step,
                    'before' => $one->worded->text,
                    'after' => $one->after,
                ],
                $rewording->in($element),
            );
            if ([] !== $places) {
                $told[] = [
                    'id' => $element->id(),
                    'kind' => $element->kind()->value,
                    'name' => $element->name(),
                    'places' => $places,
                ];
            }
        }

        return new JsonResponse(['elements' => $told]);
    }

    /** @throws InvalidData */
    #[Route('', defaults: Served::ELEMENT, methods: ['POST'])]
    public function reword(Request $request): JsonResponse
    {
        [$words, $put, $in] = JsonBody::read($request, static function (Input $in): array {
            $wanted = $in->field('in');

            return [
                ...self::asked($in, ['words', 'put', 'in']),
                $wanted->isGiven()
                    ? array_map(static fn(Input $id): string => $id->text(80), $wanted->items(Limits::ELEMENTS))
                    : null,
            ];
        });
        $rewording = new Rewording($words, $put);
        $change = $this->draft->writeAll(function (Plan $plan) use ($rewording, $words, $put, $in): PlannedEdit {
            $changed = [];
            $problems = [];
            foreach ($this->found($plan, $words) as $id => $element) {
                if ((null !== $in && !\in_array($id, $in, true)) || [] === $rewording->in($element)) {
                    continue;
                }
                try {
                    $changed[$id] = $rewording->reworded($element);
                } catch (InvalidData $invalid) {
                    array_push($problems, ...$invalid->under('/' . $id)->problems);
                }
            }
            if ([] !== $problems || [] === $changed) {
                throw new InvalidData([] === $problems ? [new Problem('/words', 'words-nowhere')] : $problems);
            }
            $label = '' === $put ? \sprintf('Take away “%s”', $words) : \sprintf('Say “%s” for “%s”', $put, $words);

            return new PlannedEdit($label, $this->machine->withAll(Plan::of($plan->name, $changed))->elements());
        });

        return new JsonResponse($change->toJson());
    }

    /**
     * @return array<string, Element> by id
     *
     * @throws InvalidData
     */
    private function found(Plan $plan, string $words): array
    {
        $ids = $this->places->elements($words, self::MOST + 1);
        if (\count($ids) > self::MOST) {
            throw InvalidData::at('/words', 'words-everywhere', ['most' => self::MOST]);
        }
        $found = [];
        foreach ($ids as $id) {
            $element = $plan->find($id);
            null === $element || ($found[$id] = $element);
        }

        return $found;
    }

    /**
     * @param list<string> $fields
     *
     * @return array{string, string}
     */
    private static function asked(Input $in, array $fields): array
    {
        $in->onlyFields($fields);
        $words = $in->field('words')->text(self::LONGEST);
        if (mb_strlen($words) < self::LEAST) {
            $in->field('words')->complain('too-short', ['least' => self::LEAST]);
        }

        return [$words, $in->field('put')->optionalText(self::LONGEST)];
    }
}
