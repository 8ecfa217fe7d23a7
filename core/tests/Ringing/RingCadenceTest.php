<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Plan\Element\RingCadence;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Periods of the ringing tone, ITU-T E.180 Supplement 2, from memory. */
final class RingCadenceTest extends TestCase
{
    #[DataProvider('countries')]
    public function testHowLongARingLasts(string $country, int $milliseconds): void
    {
        self::assertSame($milliseconds, RingCadence::countries()[$country] ?? RingCadence::usual());
    }

    /** @return iterable<array{string, int}> */
    public static function countries(): iterable
    {
        yield 'three rings in the United States are 18 s' => ['US', 6000];
        yield 'two short ones, then a pause' => ['GB', 3000];
        yield ['FR', 5000];
        yield 'a half second' => ['ES', 4500];
        yield 'where nothing is known, one second on and four off' => ['ZZ', 5000];
    }

    public function testEveryCountryThatIsKnown(): void
    {
        $known = [
            'AT' => 6000,
            'AU' => 3000,
            'BE' => 4000,
            'CA' => 6000,
            'ES' => 4500,
            'FR' => 5000,
            'GB' => 3000,
            'IE' => 3000,
            'JP' => 3000,
            'NZ' => 3000,
            'PT' => 6000,
            'SE' => 6000,
            'US' => 6000,
        ];
        $countries = RingCadence::countries();
        ksort($countries);
        self::assertSame($known, $countries);
    }

    public function testWhereNothingIsKnownTheRecommendationHolds(): void
    {
        self::assertThat(
            RingCadence::usual(),
            self::logicalAnd(self::greaterThanOrEqual(670 + 3000), self::lessThanOrEqual(1500 + 5000)),
            'E.180: 0.67 to 1.5 s of tone, 3 to 5 s of silence (from memory).',
        );
    }

    public function testASiteMayHaveItsOwn(): void
    {
        $site = static fn(?int $cadence): ?Site => (new PlanBuilder())
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
                'cadence' => $cadence,
            ])
            ->plan()
            ->get(Site::class, 'sit_harbour');
        self::assertSame([null, 6000], [$site(null)?->cadence, $site(6000)?->cadence]);
        $this->expectException(InvalidData::class);
        $site(-1);
    }
}
