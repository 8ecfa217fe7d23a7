<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Checks an answer against the hand-written OpenAPI document. */
final class OpenApi
{
    private const ID = 'https://meandros.example/openapi.json';

    private static ?Validator $validator = null;
    /** @var array<string, mixed> */
    private static array $document = [];

    public static function check(string $method, string $path, int $status, string $body): void
    {
        $validator = self::$validator ??= self::load();
        $template = self::template(strtok($path, '?') ?: $path, strtolower($method));
        if (null === $template) {
            Assert::assertContains($status, [404, 405], 'An address outside the document must not be found.');

            return;
        }
        $responses = self::$document['paths'][$template][strtolower($method)]['responses'];
        $known = isset($responses[$status]);
        Assert::assertTrue(
            $known || $status >= 400,
            "$method $template answered $status, which the document does not know.",
        );
        if ($known && !isset($responses[$status]['content']['application/json'])) {
            return;
        }
        $pointer = $known
            ? "/paths/$template/" . strtolower($method) . "/responses/$status/content/application/json/schema"
            : null;
        $ref = null === $pointer ? '/components/schemas/Problem' : self::escape($pointer, $template);
        $result = $validator->validate(json_decode($body), (object) ['$ref' => self::ID . '#' . $ref]);
        $error = $result->error();
        Assert::assertNull(
            $error,
            "$method $path: " . (null === $error ? '' : json_encode((new ErrorFormatter())->format($error))),
        );
    }

    private static function escape(string $pointer, string $template): string
    {
        $name = str_replace(['/', '{', '}'], ['~1', '%7B', '%7D'], $template);

        return str_replace(
            ['/paths/' . $template . '/', 'application/json'],
            ['/paths/' . $name . '/', 'application~1json'],
            $pointer,
        );
    }

    private static function template(string $path, string $method): ?string
    {
        $best = null;
        foreach (self::$document['paths'] as $template => $methods) {
            $pattern = '#^' . preg_replace('/\\\\\{[a-z]+\\\\\}/', '[^/]+', preg_quote($template, '#')) . '$#';
            if (
                isset($methods[$method]) &&
                1 === preg_match($pattern, $path) &&
                (null === $best || substr_count($template, '{') < substr_count($best, '{'))
            ) {
                $best = $template;
            }
        }

        return $best;
    }

    private static function load(): Validator
    {
        $yaml = str_replace(
            '../core/schema/plan.schema.json',
            'https://meandros.example/plan.schema.json',
            (string) file_get_contents(__DIR__ . '/../docs/openapi.yaml'),
        );
        self::$document = Yaml::parse($yaml);
        $validator = new Validator();
        $resolver = $validator->resolver();
        Assert::assertNotNull($resolver);
        $resolver->registerRaw((string) json_encode(self::$document), self::ID);
        $resolver->registerRaw((string) file_get_contents(__DIR__ . '/../core/schema/plan.schema.json'));

        return $validator;
    }
}
