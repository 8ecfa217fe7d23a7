<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\InPlaceOf;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\LedBy;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Server\Sound\MachineVoice;
use Meandros\Server\Storage\AlreadyExists;
use Meandros\Server\Storage\Change;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\InUse;
use Meandros\Server\Storage\NewId;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\PlannedEdit;
use Meandros\Server\Storage\StaleRevision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** The elements of the draft. */
#[Route('/api/plans/draft/elements')]
final readonly class ElementController
{
    public function __construct(private Draft $draft, private MachineVoice $machine, private TriedCall $tried) {}

    /**
     * @throws InvalidData
     * @throws AlreadyExists
     */
    #[Route('', defaults: Served::ELEMENT, methods: ['POST'])]
    public function add(Request $request): JsonResponse
    {
        $data = JsonBody::data($request);
        $kind = \is_array($data) && \is_string($data['kind'] ?? null) ? Kind::tryFrom($data['kind']) : null;
        if (\is_array($data) && null !== $kind && !isset($data['id'])) {
            $data['id'] = NewId::of($kind);
        }
        $element = $this->machine->with(PlanCodec::element($data));

        return self::saved($this->draft->add($element), 201, $element->id());
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     * @throws StaleRevision
     */
    #[Route('/{id}', defaults: Served::ELEMENT, methods: ['PUT'])]
    public function replace(string $id, Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);
        $element = self::called($id, PlanCodec::element(JsonBody::data($request)));

        return self::saved($this->draft->replace($this->machine->with($element), $revision), 200, $id);
    }

    /**
     * The same, and how a call fares in the draft with it. The call is tried first: whoever else writes does not wait for it.
     *
     * @throws InvalidData   of the element; its pointers are as if the element were all that was sent
     * @throws NotFound
     * @throws StaleRevision
     */
    #[Route('/{id}/tried', defaults: Served::ELEMENT, methods: ['PUT'])]
    public function replaceAndTry(string $id, Request $request): JsonResponse
    {
        $revision = Revision::demanded($request);
        $sent = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['element', 'call']);

            return $in->fields();
        });
        $element = $this->machine->with(self::called($id, PlanCodec::element($sent['element'] ?? null)));
        $answer = $this->tried->with($element, $sent['call'] ?? null);
        $change = $this->draft->replace($element, $revision);

        return self::saved($change, 200, $id, ['answer' => $answer]);
    }

    /**
     * @throws NotFound
     * @throws StaleRevision
     * @throws InUse
     */
    #[Route('/{id}', methods: ['DELETE'])]
    public function remove(string $id, Request $request): JsonResponse
    {
        return new JsonResponse($this->draft->remove($id, Revision::demanded($request))->toJson());
    }

    /** @throws NotFound */
    #[Route('/{id}/uses', methods: ['GET'])]
    public function uses(string $id): JsonResponse
    {
        $plan = $this->draft->plan();
        if (null === $plan->find($id)) {
            throw new NotFound(\sprintf('There is no element "%s" in the draft.', Input::quote($id)));
        }

        $places = $plan->usesOf($id);

        return new JsonResponse([
            'places' => array_map(static fn(Place $place): array => $place->toJson(), $places),
            'kinds' => InPlaceOf::kinds($places),
            'numbers' => array_map(static fn(Number $number): string => $number->id(), LedBy::of($plan, $id)),
        ]);
    }

    /**
     * Lets what mentions this element mention another in its place, as one edit; both stay.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/{id}/in-its-place', defaults: Served::ELEMENT, methods: ['POST'])]
    public function inItsPlace(string $id, Request $request): JsonResponse
    {
        [$other, $in] = JsonBody::read($request, static function (Input $in): array {
            $in->onlyFields(['put', 'in']);
            $users = $in->field('in');

            return [
                $in->field('put')->text(80),
                $users->isGiven()
                    ? array_map(static fn(Input $item): string => $item->text(80), $users->items(Limits::ELEMENTS))
                    : null,
            ];
        });

        return new JsonResponse(
            $this->draft
                ->writeAll(static function (Plan $plan) use ($id, $other, $in): PlannedEdit {
                    $of =
                        $plan->find($id) ??
                        throw new NotFound(\sprintf('There is no element "%s" in the draft.', Input::quote($id)));
                    $put = $id === $other ? null : $plan->find($other);
                    if (null === $put) {
                        throw InvalidData::at('/put', 'not-another-element');
                    }

                    return PlannedEdit::of(
                        \sprintf('Put %s in the place of %s', $put->name(), $of->name()),
                        InPlaceOf::elements($plan, $of, $put, $in),
                    );
                })
                ->toJson(),
        );
    }

    private static function called(string $id, Element $element): Element
    {
        return $element->id() === $id
            ? $element
            : throw InvalidData::at('/id', 'id-of-another', ['id' => Input::quote($id)]);
    }

    /** @param array<string, mixed> $more */
    private static function saved(Change $change, int $status, string $id, array $more = []): JsonResponse
    {
        return new JsonResponse(['id' => $id] + $change->toJson() + $more, $status, [
            'ETag' => Revision::tag($change->revision),
        ]);
    }
}
