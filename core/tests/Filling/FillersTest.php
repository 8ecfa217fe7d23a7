<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Filling;

use Meandros\Core\Filling\Facts;
use Meandros\Core\Filling\Fillers;
use Meandros\Core\Filling\SampleFacts;
use Meandros\Core\Filling\Spoken;
use Meandros\Core\Filling\WaitFiller;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What stands in blanks where no call fills them: Monday the fifth of January 1970, a day like any other. */
final class FillersTest extends TestCase
{
    /** @param array<string, string> $words */
    #[DataProvider('samples')]
    public function testASampleOfEveryBlank(string $language, array $words): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'prm',
                'kind' => 'prompt',
                'name' => 'All of them',
                'scripts' => [$language => '{opening} {date} {position} {wait} {name} {opening}'],
            ])
            ->plan();
        $script = $plan->get(Prompt::class, 'prm')?->script($language);
        self::assertNotNull($script);
        self::assertSame($words, Fillers::fill($script, $language, new SampleFacts()));
    }

    #[TestWith([60, 'about a minute'])]
    #[TestWith([61, 'about two minutes'])]
    #[TestWith([120, 'about two minutes'])]
    public function testWaitsAreToldInWholeMinutes(int $seconds, string $words): void
    {
        $facts = $this->createStub(Facts::class);
        $facts->method('expectedWait')->willReturn($seconds);
        self::assertSame($words, (new WaitFiller())->words($facts, Spoken::in('en')));
    }

    /** @return iterable<array{string, array<string, string>}> */
    public static function samples(): iterable
    {
        yield [
            'en',
            [
                'opening' => 'tomorrow at eight',
                'date' => 'Monday the fifth of January',
                'position' => 'three',
                'wait' => 'about five minutes',
                'name' => 'Robin Lane',
            ],
        ];
        yield [
            'fr',
            [
                'opening' => 'demain à huit heures',
                'date' => 'lundi cinq janvier',
                'position' => 'trois',
                'wait' => 'environ cinq minutes',
                'name' => 'Robin Lane',
            ],
        ];
    }
}
