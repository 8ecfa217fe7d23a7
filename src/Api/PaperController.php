<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Paper\PaperOfPlan;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Plan\Behind;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Server\Now;
use Meandros\Server\Paper\PaperPage;
use Meandros\Server\Paper\Pdf;
use Meandros\Server\Storage\Editions;
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

    public function __construct(private Plans $plans, private Editions $editions, private Pdf $pdf, private Now $now) {}

    /**
     * @throws InvalidData
     * @throws NotFound
     */
    #[Route('/api/plans/{which}/paper.{format}', requirements: ['format' => 'html|pdf'], methods: ['GET'])]
    public function paper(string $which, string $format, Request $request): Response
    {
        $language = $request->query->getString('language', 'en');
        if (!\in_array($language, PaperWords::LANGUAGES, true)) {
            throw InvalidData::at('/language', 'not-a-choice', ['choices' => PaperWords::LANGUAGES]);
        }
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
