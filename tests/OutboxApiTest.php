<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** E-mails of trial calls: kept here, as they would be sent. */
final class OutboxApiTest extends ApiTestCase
{
    private const GROUPS = ['to' => '+441632960130', 'from' => '+447700900123', 'at' => '2026-11-23T10:30'];

    public function testTheNoticeOfAWaitThatIsTooLongCanBeRead(): void
    {
        $this->change('que_groups', [
            'promise' => ['noticeSeconds' => 90, 'notify' => ['lead@ternwick.example', 'desk@ternwick.example']],
        ]);
        // The call ends in a mailbox, of which somebody is told as well.
        self::assertSame(['sent' => 2], $this->send('POST', '/api/outbox', self::GROUPS));
        [, $letter] = $this->send('GET', '/api/outbox')['letters'];
        self::assertSame('lead@ternwick.example, desk@ternwick.example', $letter['to']);
        self::assertSame('Waiting in Groups and coaches for 1 min 30 s', $letter['subject']);
        self::assertStringContainsString("From: +44 7700 900123\nAt: Mon 23 Nov 2026 10:31:30\n", $letter['text']);
        $message = $this->send('GET', "/api/outbox/{$letter['id']}.eml")['text'];
        self::assertStringContainsString("\r\nTo: lead@ternwick.example, desk@ternwick.example\r\n", $message);
        self::assertStringContainsString("\r\nSubject: Waiting in Groups and coaches for 1 min 30 s\r\n", $message);
        self::assertSame([], $this->send('DELETE', '/api/outbox')['letters']);
        self::assertSame([], $this->send('GET', '/api/outbox')['letters']);
    }

    public function testACallThatSendsNothingPutsNothingThere(): void
    {
        self::assertSame(['sent' => 0], $this->send('POST', '/api/outbox', ['to' => '201'] + self::GROUPS));
        $this->send('POST', '/api/outbox', ['at' => 'soon'] + self::GROUPS);
        $this->assertStatus(422);
        self::assertSame([], $this->send('GET', '/api/outbox')['letters']);
    }
}
