<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\People\Merging;
use Meandros\Core\People\RuleCopy;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** What is done to one person and others at once, each as one edit: merging, and copying rules. */
#[Route('/api/plans/draft/people/{id}')]
final readonly class PersonController
{
    public function __construct(private Draft $draft) {}

    /**
     * Puts another person in the place of this one everywhere, and takes this one away.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/merge', methods: ['POST'])]
    public function merge(string $id, Request $request): JsonResponse
    {
        [$other, $withPhones] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['into', 'withPhones']);

            return [$in->field('into')->text(80), $in->field('withPhones')->flag(true)];
        });

        return new JsonResponse(
            $this->draft
                ->writeAll(static function (Plan $plan) use ($id, $other, $withPhones): PlannedEdit {
                    $person = self::person($plan, $id);
                    $into = $id === $other ? null : $plan->get(Person::class, $other);
                    if (null === $into) {
                        throw InvalidData::at('/into', 'not-another-person');
                    }

                    return PlannedEdit::of(
                        \sprintf(
                            $withPhones ? 'Merge %s into %s' : 'Put %2$s in the place of %1$s',
                            $person->name(),
                            $into->name(),
                        ),
                        Merging::elements($plan, $person, $into, $withPhones),
                        [$id],
                    );
                })
                ->toJson(),
        );
    }

    /**
     * Copies the answering rules of this person to others, in place of theirs.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/copy-rules', defaults: Served::ELEMENT, methods: ['POST'])]
    public function copyRules(string $id, Request $request): JsonResponse
    {
        $others = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['to']);
            $others = array_map(
                static fn(Input $item): string => $item->text(80),
                $in->field('to')->items(Limits::PEOPLE),
            );
            if ([] === $others) {
                $in->field('to')->complain('nobody-named');
            }

            return $others;
        });
        $leftOut = [];
        $change = $this->draft->writeAll(static function (Plan $plan) use ($id, $others, &$leftOut): PlannedEdit {
            $from = self::person($plan, $id);
            $people = $leftOut = [];
            foreach ($others as $i => $other) {
                $to = $id === $other ? null : $plan->get(Person::class, $other);
                if (null === $to) {
                    throw InvalidData::at('/to/' . $i, 'not-other-people');
                }
                $people[] = $copied = RuleCopy::to($from, $to);
                $missing = \count($from->reach->rules) - \count($copied->reach->rules);
                if ($missing > 0) {
                    $leftOut[] = ['person' => $to->name(), 'rules' => $missing];
                }
            }

            return PlannedEdit::of(
                \sprintf(
                    'Copy the rules of %s to %s',
                    $from->name(),
                    1 === \count($people) ? $people[0]->name() : \count($people) . ' people',
                ),
                $people,
            );
        });

        return new JsonResponse($change->toJson() + ['leftOut' => $leftOut]);
    }

    /** @throws NotFound */
    private static function person(Plan $plan, string $id): Person
    {
        return $plan->get(Person::class, $id) ??
            throw new NotFound(\sprintf('There is nobody "%s" in the draft.', Input::quote($id)));
    }
}
