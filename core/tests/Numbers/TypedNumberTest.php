<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Numbers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Numbers\TypedNumber;
use Meandros\Core\Reading\InvalidData;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** By hand; which ranges are given out is libphonenumber's. */
final class TypedNumberTest extends TestCase
{
    /** @param list<string> $countries */
    #[DataProvider('typed')]
    public function testInWhichCountryItIsDialledSo(
        array $countries,
        string $text,
        string $number,
        string $country,
    ): void {
        $typed = TypedNumber::in($countries, $text);
        self::assertSame([$number, $country], [$typed->number, $typed->country]);
    }

    /** @return iterable<string, array{list<string>, string, string, string}> */
    public static function typed(): iterable
    {
        yield 'given out in the second' => [['GB', 'FR'], '02 61 91 01 77', '+33261910177', 'FR'];
        yield 'given out in both: the first' => [['FR', 'GB'], '01 45 05 00 00', '+33145050000', 'FR'];
        yield 'for fiction: the first in which it could be one' => [
            ['FR', 'GB'],
            '01632 960123',
            '+441632960123',
            'GB',
        ];
        yield 'in international form' => [['GB', 'FR'], '+33 2 61 91 01 77', '+33261910177', 'FR'];
        yield 'of another country' => [['GB', 'FR'], '+32 2 550 01 00', '+3225500100', 'GB'];
        yield 'what numbers of the second begin with' => [['GB', 'FR'], '+3326191*', '+3326191*', 'FR'];
        yield 'nowhere' => [[], '+44 1632 960123', '+441632960123', PhoneNumber::ANYWHERE];
        yield 'what numbers begin with' => [['GB', 'FR'], '01632 9609*', '+4416329609*', 'GB'];
    }

    public function testWhatIsNoneAnywhereSaysWhyInTheFirst(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('number-has-too-few-digits');
        TypedNumber::in(['FR', 'GB'], '12');
    }
}
