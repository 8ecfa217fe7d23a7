<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Callers\CallerFile;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\Callers\Overlap;
use Meandros\Core\Callers\Overlaps;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Server\Jobs\ImportCallers;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Lists of callers as files, and what one list has in common with the others. */
final readonly class CallersController
{
    /** Bytes. */
    private const MOST = 7_500_000;
    /** Lines of a file that is brought in while the browser waits. */
    private const AT_ONCE = 2_000;
    /** Entries of a large file that are looked at before it is brought in. */
    private const SHOWN = 200;

    public function __construct(private Plans $plans, private ImportCallers $callers, private Jobs $jobs) {}

    /**
     * Callers line by line: what would be brought in, and what would not. Nothing is written.
     *
     * @throws InvalidData
     */
    #[Route('/api/caller-lines', defaults: Served::FILE, methods: ['POST'])]
    public function read(Request $request): JsonResponse
    {
        [$text, $country] = self::file($request, false);
        $isLarge = !CallerFile::isCards($text) && substr_count($text, "\n") > self::AT_ONCE;
        [$entries, $problems] = CallerFile::read(
            $isLarge ? implode("\n", \array_slice(explode("\n", $text, self::SHOWN + 1), 0, self::SHOWN)) : $text,
            $country,
        );

        return new JsonResponse([
            'lines' => 1 + substr_count(rtrim($text), "\n"),
            'inBackground' => $isLarge,
            'entries' => array_map(static fn(CallerEntry $entry): array => $entry->toJson(), $entries),
            'problems' => array_map(
                static fn(Problem $problem): array => [
                    'line' => (int) substr($problem->pointer, 1),
                    'detail' => ProblemWords::message($problem),
                    'remedy' => ProblemWords::remedy($problem),
                ],
                $problems,
            ),
        ]);
    }

    /**
     * Takes a file over into a list as one edit: every line, or with leaveOut those that can be taken. A large one in the background.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/draft/callers/{id}', defaults: Served::FILE, methods: ['POST'])]
    public function import(string $id, Request $request): JsonResponse
    {
        [$text, $country, $leaveOut] = self::file($request, true);
        $list = self::list($this->plans->get('draft'), $id);
        $lines = substr_count($text, "\n");
        if ($lines > self::AT_ONCE) {
            return new JsonResponse(
                $this->jobs
                    ->start(ImportCallers::NAME, \sprintf('Bring %d callers into %s', $lines, $list->name()), [
                        'list' => $id,
                        'text' => $text,
                        'country' => $country,
                        'leaveOut' => $leaveOut,
                    ])
                    ->toJson(),
                Response::HTTP_ACCEPTED,
            );
        }

        return new JsonResponse($this->callers->import($id, $text, $country, $leaveOut)->toJson());
    }

    /** @throws NotFound */
    #[
        Route(
            '/api/plans/{which}/callers/{id}.{format}',
            requirements: ['format' => 'csv|vcf'],
            defaults: Served::LONG,
            methods: ['GET'],
        ),
    ]
    public function export(string $which, string $id, string $format): Response
    {
        $list = self::list($this->plans->get($which), $id);

        return new Response('csv' === $format ? CallerFile::table($list) : CallerFile::writeCards($list), 200, [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=utf-8' : 'text/vcard; charset=utf-8',
            'Content-Disposition' => \sprintf('attachment; filename="%s.%s"', $list->id(), $format),
        ]);
    }

    /**
     * The other lists that have callers in common with this one, and all that a caller is in.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/callers/{id}/others', methods: ['GET'])]
    public function others(string $which, string $id, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $list = self::list($plan, $id);
        $from = $request->query->getString('from');
        $caller = Caller::parse(mb_substr($from, 0, 40), 'GB');
        $lookup = new CallerLookup();
        $overlaps = $matches = [];
        foreach ($plan->all(CallerList::class) as $other) {
            $overlap = $other->id() === $id ? null : (new Overlaps())->between($list, $other);
            null === $overlap || ($overlaps[] = self::overlap($overlap));
            $entry = $lookup->find($other, $caller);
            null === $entry ||
                ($matches[] = ['list' => $other->id(), 'match' => $entry->match, 'name' => $entry->name]);
        }

        return new JsonResponse(['overlaps' => $overlaps, 'caller' => $caller->text, 'matches' => $matches]);
    }

    /** @return array<string, mixed> */
    private static function overlap(Overlap $overlap): array
    {
        return [
            'list' => $overlap->other->id(),
            'count' => $overlap->count,
            'examples' => array_map(
                static fn(array $pair): array => ['here' => $pair[0], 'there' => $pair[1]],
                $overlap->examples,
            ),
        ];
    }

    /** @throws NotFound */
    private static function list(Plan $plan, string $id): CallerList
    {
        return $plan->get(CallerList::class, $id) ??
            throw new NotFound(\sprintf('There is no list of callers "%s" in the plan.', Input::quote($id)));
    }

    /**
     * @return array{string, string, bool} text, country, and whether lines that cannot be taken are left out
     *
     * @throws InvalidData
     */
    private static function file(Request $request, bool $isImport): array
    {
        return JsonBody::read($request, static function (Input $in) use ($isImport): array {
            $in->onlyFields($isImport ? ['text', 'country', 'leaveOut'] : ['text', 'country']);
            $country = strtoupper($in->field('country')->text(2));
            PhoneNumber::knowsCountry($country) ||
                $in->field('country')->complain('not-a-country', ['country' => Input::quote($country)]);
            $text = $in->field('text')->long(self::MOST);
            mb_check_encoding($text, 'UTF-8') || $in->field('text')->complain('not-utf-8');

            return [$text, $country, $in->field('leaveOut')->flag(false)];
        });
    }
}
