<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** The sentences of one subject in one language, by their codes: patterns of ICU MessageFormat. */
final class Catalog
{
    /** @var array<string, \MessageFormatter> */
    private array $formatters = [];

    /** @param array<string, string> $patterns by code */
    private function __construct(private readonly string $language, private readonly array $patterns) {}

    /** @param string $subject such as "findings" */
    public static function of(string $subject, string $language = 'en'): self
    {
        /** @var array<string, self> $made */
        static $made = [];

        /** @var array<string, string> $patterns */
        $patterns = isset($made[$subject . $language])
            ? []
            : require \sprintf('%s/messages/%s.%s.php', __DIR__, $subject, $language);

        return $made[$subject . $language] ??= new self($language, $patterns);
    }

    /** @return list<string> every code there is */
    public function codes(): array
    {
        return array_keys($this->patterns);
    }

    public function has(string $code): bool
    {
        return isset($this->patterns[$code]);
    }

    /**
     * @param array<string, string|int> $arguments a `language` or a `region` is a code, and is called by its name; `languages` are some, with commas
     *
     * @throws \OutOfBoundsException where the code has no words
     */
    public function say(string $code, array $arguments = []): string
    {
        $this->formatters[$code] ??= new \MessageFormatter(
            $this->language,
            $this->patterns[$code] ?? throw new \OutOfBoundsException(\sprintf('There are no words for "%s".', $code)),
        );
        $said = $this->formatters[$code]->format($this->words($arguments));

        return \is_string($said)
            ? $said
            : throw new \OutOfBoundsException(
                \sprintf('The words for "%s" do not fit: %s', $code, $this->formatters[$code]->getErrorMessage()),
            );
    }

    /**
     * As text, numbers are not grouped by thousands: seconds and extensions are read as they are.
     *
     * @param array<string, string|int> $arguments
     *
     * @return array<string, string>
     */
    private function words(array $arguments): array
    {
        $words = array_map(strval(...), $arguments);
        if (isset($words['region'])) {
            $words['region'] = RegionName::of($words['region'], $this->language);
        }
        foreach (array_intersect_key($words, ['language' => true, 'languages' => true]) as $name => $codes) {
            $words[$name] = implode(
                ', ',
                array_map(fn(string $code): string => LanguageName::of($code, $this->language), explode(', ', $codes)),
            );
        }

        return $words;
    }
}
