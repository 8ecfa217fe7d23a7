<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Paper\SheetOnPaper;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Recording\FileNames;
use Meandros\Core\Recording\RecordingSheet;
use Meandros\Core\Recording\SheetWish;
use Meandros\Core\Recording\Wanted;
use Meandros\Core\Time\CivilDate;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Jobs\MakeTakes;
use Meandros\Server\Now;
use Meandros\Server\Paper\PaperPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Sound\BroughtFiles;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Recording sheets, and the recordings that come back by the names on them. */
final readonly class RecordingController
{
    public function __construct(
        private Plans $plans,
        private Draft $draft,
        private BroughtFiles $brought,
        private Jobs $jobs,
        private Pdf $pdf,
        private Now $now,
    ) {}

    /** @throws NotFound */
    #[Route('/api/plans/{which}/recordings', defaults: Served::LONG, methods: ['GET'])]
    public function wanted(string $which, Request $request): JsonResponse
    {
        $plan = $this->plans->get($which);
        $prompts = $plan->all(Prompt::class);

        return new JsonResponse([
            'rows' => array_map(
                static fn(Wanted $row): array => $row->toJson(),
                RecordingSheet::of($plan, self::wish($request)),
            ),
            'voices' => self::sorted(array_map(static fn(Prompt $prompt): string => $prompt->voice, $prompts)),
            'languages' => self::sorted(
                array_merge(...array_map(static fn(Prompt $prompt): array => $prompt->languages(), $prompts)),
            ),
        ]);
    }

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[
        Route(
            '/api/plans/{which}/recording-sheet.{format}',
            requirements: ['format' => 'html|pdf'],
            defaults: Served::LONG,
            methods: ['GET'],
        ),
    ]
    public function sheet(string $which, string $format, Request $request): Response
    {
        $language = $request->query->getString('words', 'en');
        if (!\in_array($language, PaperWords::LANGUAGES, true)) {
            throw InvalidData::at('/words', 'not-a-choice', ['choices' => PaperWords::LANGUAGES]);
        }
        $plan = $this->plans->get($which);
        $day = intdiv($this->now->second(), CivilDate::SECONDS_PER_DAY);
        $html = PaperPage::html(
            SheetOnPaper::of($plan, RecordingSheet::of($plan, self::wish($request)), $language, $day),
        );

        return 'html' === $format
            ? new Response($html, 200, ['Content-Type' => 'text/html; charset=utf-8'])
            : new Response($this->pdf->of($html), 200, [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'attachment; filename="recording-sheet.pdf"',
            ]);
    }

    /**
     * What bringing files in would do, file by file; nothing is written.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/recordings/preview', defaults: Served::FILE, methods: ['POST'])]
    public function preview(Request $request): JsonResponse
    {
        [$files] = $this->read($request);

        return new JsonResponse(['files' => $this->matches($files, $this->draft->plan())]);
    }

    /**
     * Makes takes of the files that find their prompts, in the background.
     *
     * @throws InvalidData
     */
    #[Route('/api/plans/draft/recordings', defaults: Served::FILE, methods: ['POST'])]
    public function bringIn(Request $request): JsonResponse
    {
        [$files, $trim, $leaveOut] = $this->read($request);
        $count = \count(
            array_filter(
                $this->matches($files, $this->draft->plan()),
                static fn(array $one): bool => null !== $one['prompt'],
            ),
        );
        if (0 === $count) {
            throw InvalidData::at('/files', 'no-recording-matches');
        }
        $job = $this->jobs->start(MakeTakes::NAME, \sprintf('Bring in %d recordings', $count), [
            'files' => $files,
            'count' => $count,
            'trim' => $trim,
            'leaveOut' => $leaveOut,
        ]);

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /**
     * @return array{list<array{upload: string, name: string}>, bool, bool}
     *
     * @throws InvalidData
     */
    private function read(Request $request): array
    {
        return JsonBody::read($request, function (Input $in): array {
            $in->onlyFields(['files', 'trim', 'leaveOut']);

            return [
                $this->brought->read($in->field('files')),
                $in->field('trim')->flag(true),
                $in->field('leaveOut')->flag(false),
            ];
        });
    }

    /**
     * @param list<array{upload: string, name: string}> $files
     *
     * @return list<array{name: string, prompt: string|null, caption: string|null, language: string|null, part: int|null}>
     *
     * @throws InvalidData
     */
    private function matches(array $files, Plan $plan): array
    {
        $names = FileNames::of($plan);
        $matches = [];
        $this->brought->each($files, static function (string $name) use ($names, $plan, &$matches): void {
            [$prompt, $part] = $names->find($name) ?? [null, null];
            $matches[] = [
                'name' => mb_strimwidth(mb_scrub($name), 0, 200, '…'),
                'prompt' => $prompt,
                'caption' => $plan->find($prompt)?->name(),
                'language' => $part?->language,
                'part' => $part?->number,
            ];
        });

        return $matches;
    }

    private static function wish(Request $request): SheetWish
    {
        $query = $request->query;
        $of = static fn(string $name): ?string => $query->has($name) ? $query->getString($name) : null;

        return new SheetWish('all' !== $query->getString('what'), $of('language'), $of('voice'), $of('journey'));
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        $texts = array_values(array_unique(array_filter($texts)));
        sort($texts);

        return $texts;
    }
}
