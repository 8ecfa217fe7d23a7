<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\DataProvider;

/** PINs, and the e-mails of messages that trial calls leave. */
final class MailboxApiTest extends ApiTestCase
{
    private const CLOSED = ['to' => self::BOOKINGS, 'from' => '+447700900123', 'at' => '2026-11-23T22:00'];

    public function testAPinIsKeptHashedAndNeverTold(): void
    {
        self::assertSame([], $this->send('GET', '/api/pins')['mailboxes']);
        $answer = $this->send('PUT', '/api/pins/mbx_bookings', ['pin' => '8317']);
        self::assertSame(['mailboxes' => ['mbx_bookings']], $answer);
        $hash = self::getContainer()->get(Connection::class)->fetchOne('SELECT hash FROM mailbox_pin');
        self::assertTrue(password_verify('8317', $hash));
        self::assertStringNotContainsString('8317', $hash);
        foreach (['/api/plans/draft', '/api/plans/draft/elements/mbx_bookings', '/api/pins'] as $path) {
            $this->request('GET', $path);
            self::assertStringNotContainsString($hash, (string) $this->answer()->getContent());
        }
        $this->send('PUT', '/api/pins/mbx_bookings', ['pin' => '59062']);
        self::assertSame([], $this->send('PUT', '/api/pins/mbx_bookings', ['pin' => null])['mailboxes']);
        $this->send('PUT', '/api/pins/mbx_none', ['pin' => '8317']);
        $this->assertStatus(404);
    }

    #[DataProvider('weak')]
    public function testWhatIsGuessedAtOnceIsRefused(mixed $pin, string $code): void
    {
        $problem = $this->send('PUT', '/api/pins/mbx_bookings', ['pin' => $pin]);
        $this->assertStatus(422);
        self::assertSame(['/pin', $code], [$problem['errors'][0]['pointer'], $problem['errors'][0]['code']]);
        self::assertSame([], $this->send('GET', '/api/pins')['mailboxes']);
    }

    /** @return iterable<array{mixed, string}> Dana Winslow, who owns it, has extension 201 */
    public static function weak(): iterable
    {
        yield ['0000', 'pin-repeats'];
        yield ['121212', 'pin-repeats'];
        yield ['1234', 'pin-in-a-row'];
        yield ['98765', 'pin-in-a-row'];
        yield ['7890', 'pin-in-a-row'];
        yield ['0201', 'pin-is-extension'];
        yield ['831', 'pin-not-digits'];
        yield ['83176204951', 'too-long'];
        yield ['83a7', 'pin-not-digits'];
        yield ['', 'missing'];
        yield [8317, 'not-text'];
    }

    public function testAMessageIsToldOfByEMailWithItsSound(): void
    {
        self::assertSame(['sent' => 1], $this->send('POST', '/api/outbox', self::CLOSED));
        [$letter] = $this->send('GET', '/api/outbox')['letters'];
        self::assertSame(
            ['bookings@ternwick.example', 'Message for Bookings mailbox'],
            [$letter['to'], $letter['subject']],
        );
        self::assertStringContainsString("From: +44 7700 900123\nAt: Mon 23 Nov 2026 22:00:", $letter['text']);
        self::assertStringContainsString('written down by the stand-in for a speech service:', $letter['text']);
        $wav = $this->send('GET', "/api/sounds/{$letter['sound']}.wav")['text'];
        self::assertSame('RIFF', substr($wav, 0, 4));
        $message = $this->send('GET', "/api/outbox/{$letter['id']}.eml")['text'];
        self::assertStringContainsString('Content-Type: audio/wav; name=message.wav', $message);
        self::assertStringContainsString(substr(base64_encode($wav), 0, 60), $message);
    }

    public function testTheSoundMayStayWhereItIs(): void
    {
        $this->change('mbx_bookings', ['withSound' => false, 'transcript' => false]);
        $this->send('POST', '/api/outbox', self::CLOSED);
        [$letter] = $this->send('GET', '/api/outbox')['letters'];
        self::assertNull($letter['sound']);
        self::assertStringNotContainsString('written down', $letter['text']);
        self::assertStringContainsString('does not come with this e-mail', $letter['text']);
        $this->change('mbx_bookings', ['takesMessages' => false]);
        self::assertSame(['sent' => 0], $this->send('POST', '/api/outbox', self::CLOSED));
        $this->change('mbx_bookings', ['takesMessages' => true, 'notify' => []]);
        self::assertSame(['sent' => 0], $this->send('POST', '/api/outbox', self::CLOSED));
    }

    public function testAGreetingThatHasRunOutIsFound(): void
    {
        $found = fn(): array => array_column(
            $this->send('GET', '/api/plans/draft/findings?element=mbx_groups')['findings'],
            'code',
        );
        $this->change('mbx_groups', ['away' => ['greeting' => 'prm_groups', 'until' => '2030-01-01T08:00']]);
        self::assertSame([], $found());
        $this->change('mbx_groups', ['away' => ['greeting' => 'prm_groups', 'until' => '2026-01-01T08:00']]);
        self::assertSame(['away-greeting-over'], $found());
    }
}
