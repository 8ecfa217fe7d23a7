<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\PaperOfPlan;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Server\Jobs\Jobs;
use Meandros\Server\Jobs\WriteBrief;
use Meandros\Server\Now;
use Meandros\Server\Paper\Briefs;
use Meandros\Server\Paper\PaperPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A plan on paper: to print, or as PDF. */
final readonly class PaperController
{
    /** More than so many elements make a book, and are printed number by number. */
    private const MOST_ELEMENTS = 1_500;

    /** Seconds after which no further number is looked at. */
    private const WAITED = 20.0;

    public function __construct(
        private Plans $plans,
        private Editions $editions,
        private Pdf $pdf,
        private Now $now,
        private Briefs $briefs,
        private Jobs $jobs,
        private Patience $patience,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[
        Route(
            '/api/plans/{which}/paper.{format}',
            requirements: ['format' => 'html|pdf'],
            defaults: Served::LONG,
            methods: ['GET'],
        ),
    ]
    public function paper(string $which, string $format, Request $request): Response
    {
        $language = self::language($request);
        $plan = self::part($this->plans->get($which), $request->query->getString('number'));
        $edition = match ($which) {
            'draft' => '',
            'live' => (string) $this->editions->live(),
            default => $which,
        };
        $day = intdiv($this->now->second(), CivilDate::SECONDS_PER_DAY);
        $html = PaperPage::html(PaperOfPlan::of($plan, $language, $edition, $day));

        return 'html' === $format
            ? new Response($html, 200, ['Content-Type' => 'text/html; charset=utf-8'])
            : new Response($this->pdf->of($html), 200, [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => \sprintf('attachment; filename="plan-%s-%s.pdf"', $which, $language),
            ]);
    }

    /**
     * What callers hear and who answers over a year, in sentences; beside another plan, what came and what went is marked.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[
        Route(
            '/api/plans/{which}/brief.{format}',
            requirements: ['format' => 'html|pdf|md'],
            defaults: Served::PROOF,
            methods: ['GET'],
        ),
    ]
    public function brief(string $which, string $format, Request $request): Response
    {
        $language = self::language($request);
        $brief =
            $this->briefs->write(
                $which,
                $request->query->getString('before'),
                $request->query->getString('number'),
                $language,
                $this->patience->forAll(self::WAITED),
            ) ?? throw InvalidData::at('/number', 'brief-too-long');

        return match ($format) {
            'md' => new Response(Markdown::of($brief), 200, [
                'Content-Type' => 'text/markdown; charset=utf-8',
                'Content-Disposition' => \sprintf('attachment; filename="brief-%s-%s.md"', $which, $language),
            ]),
            'html' => new Response(PaperPage::html($brief), 200, ['Content-Type' => 'text/html; charset=utf-8']),
            default => new Response($this->pdf->of(PaperPage::html($brief)), 200, [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => \sprintf('attachment; filename="brief-%s-%s.pdf"', $which, $language),
            ]),
        };
    }

    /**
     * Writes the brief in the background, however many numbers there are.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/brief/in-full', methods: ['POST'])]
    public function briefInFull(string $which, Request $request): JsonResponse
    {
        JsonBody::nothing($request);
        [$number, $before] = [$request->query->getString('number'), $request->query->getString('before')];
        $plan = $this->plans->get($which);
        '' === $number || self::number($plan, $number);
        '' === $before || $this->plans->get($before);
        $job = $this->jobs->start(WriteBrief::NAME, 'Write the brief', [
            'in' => $which,
            'before' => $before,
            'number' => $number,
            'language' => self::language($request),
        ]);

        return new JsonResponse($job->toJson(), Response::HTTP_ACCEPTED);
    }

    /** @throws InvalidData */
    private static function language(Request $request): string
    {
        $language = $request->query->getString('language', 'en');

        return \in_array($language, PaperWords::LANGUAGES, true)
            ? $language
            : throw InvalidData::at('/language', 'not-a-choice', ['choices' => PaperWords::LANGUAGES]);
    }

    /**
     * All of it, or what is behind one number.
     *
     * @throws InvalidData
     * @throws NotFound
     */
    private static function part(Plan $plan, string $id): Plan
    {
        if ('' !== $id) {
            return Behind::of($plan, self::number($plan, $id));
        }
        if ($plan->size() > self::MOST_ELEMENTS) {
            throw InvalidData::at('/number', 'paper-too-long', ['most' => self::MOST_ELEMENTS]);
        }

        return $plan;
    }

    /** @throws NotFound */
    private static function number(Plan $plan, string $id): Number
    {
        return $plan->get(Number::class, $id) ?? throw new NotFound('There is no such number in this plan.');
    }
}
