<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\PaperOfPlan;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\Listed;
use Meandros\Server\Now;
use Meandros\Server\Paper\PaperPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;
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
    private const DAYS = 366;

    public function __construct(
        private Plans $plans,
        private Editions $editions,
        private Pdf $pdf,
        private Now $now,
        private Live $live,
        private Patience $patience,
    ) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/paper.{format}', requirements: ['format' => 'html|pdf'], methods: ['GET'])]
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
    #[Route('/api/plans/{which}/brief.{format}', requirements: ['format' => 'html|pdf|md'], methods: ['GET'])]
    public function brief(string $which, string $format, Request $request): Response
    {
        [$number, $before] = [$request->query->getString('number'), $request->query->getString('before')];
        $language = self::language($request);
        $fares = $this->fares($which);
        if ('' !== $number && null === $fares->plan->get(Number::class, $number)) {
            throw new NotFound('There is no such number in this plan.');
        }
        $brief =
            Brief::of(
                $fares,
                Listed::capital($this->about($which, $before, Catalog::of('paper', $language))),
                '' === $number ? [] : [$number],
                '' === $before ? null : $this->fares($before),
                $this->patience->for(self::WAITED),
                $language,
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

    /** @throws NotFound */
    private function fares(string $which): Fares
    {
        $plan = $this->plans->get($which);
        $from = $this->now->second();

        return new Fares(
            $plan,
            $from,
            $from + self::DAYS * CivilDate::SECONDS_PER_DAY,
            $this->live->state($plan, $from),
        );
    }

    /** @throws InvalidData */
    private static function language(Request $request): string
    {
        $language = $request->query->getString('language', 'en');

        return \in_array($language, PaperWords::LANGUAGES, true)
            ? $language
            : throw InvalidData::at('/language', 'not-a-choice', ['choices' => PaperWords::LANGUAGES]);
    }

    private function about(string $which, string $before, Catalog $words): string
    {
        $name = fn(string $one): string => match ($one) {
            'draft' => $words->say('brief.draft'),
            'live' => $words->say('brief.live', ['edition' => $this->editions->live() ?? 0]),
            default => $words->say('brief.edition', ['edition' => $one]),
        };

        return '' === $before
            ? $name($which)
            : $words->say('brief.beside', ['which' => $name($which), 'before' => $name($before)]);
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
            return Behind::of(
                $plan,
                $plan->get(Number::class, $id) ?? throw new NotFound('There is no such number in this plan.'),
            );
        }
        if ($plan->size() > self::MOST_ELEMENTS) {
            throw InvalidData::at('/number', 'paper-too-long', ['most' => self::MOST_ELEMENTS]);
        }

        return $plan;
    }
}
