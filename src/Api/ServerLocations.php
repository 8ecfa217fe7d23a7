<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/** Tells nginx what routes say of how they are served, whenever the container is built. */
final readonly class ServerLocations implements CacheWarmerInterface
{
    /** Beside the container; start_server hands it to nginx. */
    public const FILE = 'locations.conf';
    /** For sound that comes in over a slow line. */
    private const SLOW = 'client_body_timeout 60s;';
    /** More than that is refused before it is read; a little more than is taken, so that what is wrong is mostly told in words. */
    private const LEEWAY = 512 * 1024;
    /** A few megabytes. */
    private const LARGE = 10_000_000;

    public function __construct(private RouterInterface $router) {}

    public function isOptional(): bool
    {
        return false;
    }

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        file_put_contents($cacheDir . '/' . self::FILE, $this->text());

        return [];
    }

    public function text(): string
    {
        $paths = [];
        foreach ($this->router->getRouteCollection() as $route) {
            [$by, $takes] = self::served($route);
            if ('main' !== $by || Served::QUESTION !== $takes) {
                $paths[$takes][$by][self::path($route)] = true;
            }
        }
        // The first that fits counts: of two requests to the same address, the one that brings more.
        krsort($paths);
        $text = '';
        foreach ($paths as $takes => $some) {
            foreach ($some as $by => $these) {
                $text .= self::location($by, $takes, array_keys($these));
            }
        }

        return $text;
    }

    /** @return array{string, int} by which processes, and how many bytes it takes */
    public static function served(Route $route): array
    {
        /** @var string $by */
        $by = $route->getDefault(Served::BY) ?? 'main';
        /** @var int $takes */
        $takes = $route->getDefault(Served::TAKES) ?? Served::QUESTION;

        return [$by, $takes];
    }

    /** @param list<string> $paths */
    private static function location(string $by, int $takes, array $paths): string
    {
        $connections = match (true) {
            'long' !== $by => 32,
            Served::QUESTION === $takes => 16,
            default => 8,
        };
        $lines = [
            \sprintf('client_max_body_size %dk;', intdiv($takes + self::LEEWAY, 1024)),
            ...$takes > self::LARGE ? [self::SLOW] : [],
            \sprintf('limit_conn clients %d;', $connections),
            \sprintf('fastcgi_pass %s;', $by),
            'include fastcgi.conf;',
        ];

        return \sprintf("location ~ \"^(?:%s)$\" {\n    %s\n}\n", implode('|', $paths), implode("\n    ", $lines));
    }

    /** As a regular expression. */
    private static function path(Route $route): string
    {
        $parts = (array) preg_split('/\{(\w+)\}/', $route->getPath(), -1, \PREG_SPLIT_DELIM_CAPTURE);
        $path = '';
        foreach ($parts as $i => $part) {
            $path .=
                0 === $i % 2
                    ? preg_quote((string) $part)
                    : '(?:' . ($route->getRequirement((string) $part) ?? '[^/]+') . ')';
        }

        return $path;
    }
}
