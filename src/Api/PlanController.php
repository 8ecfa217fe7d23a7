<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Outline;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Server\Storage\ChangeLog;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\DraftReading;
use Meandros\Server\Storage\EditName;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\SharedMemory;
use Meandros\Server\Storage\UnreadableElement;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Whole plans: to read, to take away as a file, to bring in, and to look through for what is unfinished. */
final readonly class PlanController
{
    /** A large plan takes long to read and write out. */
    private const KEPT_SECONDS = 600;

    public function __construct(
        private Plans $plans,
        private Draft $draft,
        private ChangeLog $log,
        private SharedMemory $memory,
        #[Autowire('%env(default::MEANDROS_BUILD)%')] private ?string $build,
    ) {}

    /** @throws NotFound */
    #[Route('/api/plans/{which}', defaults: Served::LONG, methods: ['GET'])]
    public function show(string $which, Request $request): Response
    {
        return $this->answer($which, $request, 'whole', static fn(Element $element): array => $element->toJson());
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/outline', methods: ['GET'])]
    public function outline(string $which, Request $request): Response
    {
        return $this->answer($which, $request, 'outline', Outline::of(...));
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/elements/{id}', methods: ['GET'])]
    public function element(string $which, string $id, Request $request): Response
    {
        $draft = 'draft' === $which ? $this->draft->read() : null;
        $plan = $draft->plan ?? $this->plans->get($which);
        $element =
            $plan->find($id) ??
            throw new NotFound(\sprintf('There is no element "%s" in this plan.', Input::quote($id)));
        $answer = new JsonResponse($element->toJson());
        if (null !== $draft) {
            $answer->setEtag((string) $draft->revisionOf($id));
            $answer->isNotModified($request);
        }

        return $answer;
    }

    /**
     * @param \Closure(Element): array<string, mixed> $toJson
     *
     * @throws NotFound
     */
    private function answer(string $which, Request $request, string $extent, \Closure $toJson): Response
    {
        $draft = 'draft' === $which ? $this->draft->read() : null;
        $plan = $draft->plan ?? $this->plans->get($which);
        $next = null === $draft ? [null, null] : $this->log->next();
        // Other code may read the same rows otherwise.
        $tag = \sprintf(
            '%s.%s.%d.%d.%s',
            $extent,
            $draft?->tag() ?? $plan->fingerprint(),
            $next[0]->edit ?? 0,
            $next[1]->edit ?? 0,
            $this->build ?? '',
        );
        $answer = (new JsonResponse('{}', json: true))->setEtag($tag);
        if ($answer->isNotModified($request)) {
            return $answer;
        }
        $kept = $this->memory->get('plan.' . $tag);
        if (\is_string($kept)) {
            return $answer->setJson((string) gzinflate($kept));
        }
        $unreadable = null === $draft ? [] : $this->draft->unreadable($draft);
        $json = self::json($plan, $toJson, $draft, $unreadable, $next);
        if ([] === $unreadable) {
            $this->memory->keep('plan.' . $tag, gzdeflate($json, 1), self::KEPT_SECONDS);
        }

        return $answer->setJson($json);
    }

    /**
     * @param \Closure(Element): array<string, mixed> $toJson
     * @param list<UnreadableElement>                 $unreadable
     * @param array{EditName|null, EditName|null}     $next       what can be undone and redone
     */
    private static function json(
        Plan $plan,
        \Closure $toJson,
        ?DraftReading $draft,
        array $unreadable = [],
        array $next = [null, null],
    ): string {
        return json_encode(
            [
                'name' => $plan->name,
                'elements' => array_map($toJson, array_values($plan->elements())),
                'international' => (object) self::international($plan),
                'revision' => $draft->revision ?? 0,
                'revisions' => (object) ($draft?->revisions() ?? []),
                'unreadable' => array_map(static fn(UnreadableElement $one): array => $one->toJson(), $unreadable),
                'undo' => $next[0]?->toJson(),
                'redo' => $next[1]?->toJson(),
            ],
            \JSON_THROW_ON_ERROR | JsonResponse::DEFAULT_ENCODING_OPTIONS,
        );
    }

    /** @return array<string, string> the plan's numbers for reading, by their E.164 */
    private static function international(Plan $plan): array
    {
        $numbers = [];
        foreach ($plan->all(Number::class) as $number) {
            $numbers[$number->range->number] = PhoneNumber::international($number->range->number);
        }

        return $numbers;
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/file', defaults: Served::LONG, methods: ['GET'])]
    public function file(string $which): Response
    {
        $draft = 'draft' === $which ? $this->draft->read() : null;

        return new Response(
            PlanCodec::encode($draft->plan ?? $this->plans->get($which), true),
            200,
            [
                'Content-Type' => 'application/json',
                'Content-Disposition' => \sprintf('attachment; filename="plan-%s.json"', $which),
            ] + (null === $draft ? [] : ['ETag' => Revision::tag($draft->revision)]),
        );
    }

    /** @throws NotFound */
    #[Route('/api/plans/{which}/prompt-seconds', methods: ['GET'])]
    public function promptSeconds(string $which): JsonResponse
    {
        $seconds = $parts = [];
        foreach ($this->plans->get($which)->all(Prompt::class) as $prompt) {
            $spoken = [];
            foreach (array_keys($prompt->scripts) as $language) {
                $spoken[$language] = $prompt->seconds($language);
                if ([] !== $prompt->script($language)->blanks()) {
                    $parts[$prompt->id()][$language] = array_map(
                        static fn(ScriptPart $part): string => $part->words,
                        $prompt->scriptParts($language),
                    );
                }
            }
            $seconds[$prompt->id()] = (object) $spoken;
        }

        return new JsonResponse(['seconds' => (object) $seconds, 'parts' => (object) $parts]);
    }
}
