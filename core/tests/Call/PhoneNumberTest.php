<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Call;

use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberType;
use libphonenumber\PhoneNumberUtil;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Reading\InvalidData;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The ranges are those that Ofcom ("Telephone numbers for use in TV and radio drama programmes") and ARCEP (numbering
 * plan decision 2018-0881, numbers for audiovisual works) reserve for fiction; written here from memory of those lists.
 */
final class PhoneNumberTest extends TestCase
{
    #[DataProvider('fiction')]
    public function testNationalFormatIsUnderstoodByTheCountry(
        string $typed,
        string $country,
        string $e164,
        string $shown,
    ): void {
        self::assertSame($e164, PhoneNumber::parse($typed, $country));
        self::assertSame($shown, PhoneNumber::international($e164));
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function fiction(): iterable
    {
        yield ['01632 960 000', 'GB', '+441632960000', '+44 1632 960000'];
        yield ['(01632) 960999', 'GB', '+441632960999', '+44 1632 960999'];
        yield ['020 7946 0000', 'GB', '+442079460000', '+44 20 7946 0000'];
        yield ['0808 157 0999', 'GB', '+448081570999', '+44 808 157 0999'];
        yield ['07700 900 123', 'GB', '+447700900123', '+44 7700 900123'];
        yield ['01 99 00 12 34', 'FR', '+33199001234', '+33 1 99 00 12 34'];
        yield ['02 61 91 56 78', 'FR', '+33261915678', '+33 2 61 91 56 78'];
        yield ['06.39.98.00.01', 'FR', '+33639980001', '+33 6 39 98 00 01'];
        yield ['+33 6 39 98 00 01', 'GB', '+33639980001', '+33 6 39 98 00 01'];
        yield ['00 44 1632 960 100', 'FR', '+441632960100', '+44 1632 960100'];
    }

    /** Telephone numbers as addresses: the examples of RFC 3966, section 6, that name a number; and one within a context. */
    #[DataProvider('addresses')]
    public function testAddressesOfRfc3966(string $address, string $e164): void
    {
        self::assertSame($e164, PhoneNumber::parse($address, 'GB'));
    }

    /** @return iterable<array{string, string}> */
    public static function addresses(): iterable
    {
        yield ['tel:+1-201-555-0123', '+12015550123'];
        yield ['tel:+358-9-123-45678', '+358912345678'];
        yield ['tel:01632-960-123;phone-context=+44', '+441632960123'];
        yield ['tel:(01632)960-123', '+441632960123'];
    }

    #[DataProvider('nonsense')]
    public function testWhatIsNoNumberIsSaid(string $typed, string $words): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage($words);
        PhoneNumber::parse($typed, 'GB');
    }

    /** @return iterable<array{string, string}> */
    public static function nonsense(): iterable
    {
        yield ['hello', '/: not-a-number {"number":"hello"}'];
        yield ['', '/: not-a-number'];
        yield ['12', '/: number-has-too-few-digits'];
        // Without its zero the rest is too short for libphonenumber, which would take the zero for a part of the number.
        yield ['01632 9602', '/: number-has-too-few-digits'];
        yield ['07700 9001', '/: number-has-too-few-digits'];
        yield ['01632 960 123 456 789', 'number-has-too-many-digits'];
        yield ['+999 1234567', '/: not-a-number'];
        yield ['01632 960123 ext. 5', '/: number-with-extension'];
    }

    /** Libphonenumber's own example of each country's fixed lines, mobiles and free numbers, those with leading zeros among them. */
    public function testExamplesOfEveryCountryAreTakenInTheirOwnForm(): void
    {
        $util = PhoneNumberUtil::getInstance();
        $zeros = 0;
        foreach (PhoneNumber::countries() as $country) {
            foreach ([PhoneNumberType::FIXED_LINE, PhoneNumberType::MOBILE, PhoneNumberType::TOLL_FREE] as $type) {
                $example = $util->getExampleNumberForType($country, $type);
                if (null !== $example) {
                    $typed = $util->format($example, PhoneNumberFormat::NATIONAL);
                    $e164 = $util->format($example, PhoneNumberFormat::E164);
                    self::assertSame($e164, PhoneNumber::parse($typed, $country), "$country $typed");
                    $zeros += true === $example->isItalianLeadingZero() ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(5, $zeros);
    }

    public function testABeginningIsReadByTheCountryWhereThereIsOne(): void
    {
        self::assertSame('+4420', PhoneNumber::beginning('020', 'GB'));
        self::assertSame('+4420', PhoneNumber::beginning('20', 'GB'));
        self::assertSame('+3326191', PhoneNumber::beginning('+3326191', 'GB'));
        self::assertSame('020', PhoneNumber::beginning('020', 'ZZ'));
        self::assertSame('', PhoneNumber::beginning('', 'GB'));
    }

    public function testForReading(): void
    {
        self::assertSame('+44 1632 960123', PhoneNumber::international('+441632960123'));
        self::assertSame('+44 20 …', PhoneNumber::international('+4420*'));
        $countries = PhoneNumber::countries();
        self::assertSame(['AC', 'AD', 'AE'], \array_slice($countries, 0, 3));
        self::assertContains('GB', $countries);
    }

    public function testCallersMayWithholdTheirNumberOrCallFromInside(): void
    {
        self::assertSame('withheld', Caller::parse(' ', 'GB')->text);
        self::assertSame('201', Caller::parse('201', 'GB')->text);
        self::assertSame('+447700900123', Caller::parse('07700 900123', 'GB')->text);
    }
}
