<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** A plan that is still the same is not sent again (RFC 9110, 13.1.2). */
final class PlanTagTest extends ApiTestCase
{
    public function testAPlanThatIsTheSameIsNotSentAgain(): void
    {
        $this->send('GET', '/api/plans/draft');
        $tag = $this->header('ETag');
        self::assertNotSame('', $tag);
        self::assertStringContainsString('no-cache', $this->header('Cache-Control'));
        $again = fn(): int => $this->statusWith($tag);
        self::assertSame(304, $again());
        self::assertSame('', $this->answer()->getContent());

        $this->change('sit_ternwick', ['name' => 'Quay']);
        self::assertSame(200, $again());
        $this->undo();
        self::assertSame(200, $again(), 'What can be done again is another edit now.');
        $this->send('GET', '/api/plans/draft');
        $tag = $this->header('ETag');
        self::assertSame('Ternwick Harbour', $this->element('sit_ternwick')['name']);
        self::assertSame(304, $this->statusWith($tag));
    }

    public function testAnEditionIsNotSentAgainUntilAnotherOneIsLive(): void
    {
        foreach (['/api/plans/live', '/api/plans/live/outline'] as $path) {
            $first = $this->send('GET', $path);
            $tag = $this->header('ETag');
            self::assertSame(304, $this->statusWith($tag, $path));
            $this->change('sit_ternwick', ['name' => 'Quay by ' . $path]);
            self::assertSame(304, $this->statusWith($tag, $path), 'An edit of the draft leaves it as it is.');
            self::assertSame($first, $this->send('GET', $path));
            $this->publish('Another name');
            self::assertSame(200, $this->statusWith($tag, $path));
            self::assertSame(
                'Quay by ' . $path,
                array_column($this->send('GET', $path)['elements'], 'name', 'id')['sit_ternwick'],
            );
        }
    }

    private function statusWith(string $tag, string $path = '/api/plans/draft'): int
    {
        $this->requestWith('GET', $path, null, ['HTTP_IF_NONE_MATCH' => $tag]);

        return $this->answer()->getStatusCode();
    }
}
