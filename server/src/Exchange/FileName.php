<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use Symfony\Component\HttpFoundation\HeaderUtils;

/** What a download is called: by what it is, such as `Tides check · 8 Heron · marks.csv`. */
final readonly class FileName
{
    private const LONGEST_PART = 80;
    /** So many classes are named; more are counted. */
    private const MOST_CLASSES = 3;

    private function __construct(private string $name)
    {
    }

    /** @param list<string> $classes */
    public static function of(string $title, array $classes, string $what, string $ending): self
    {
        $whom = count($classes) > self::MOST_CLASSES ? count($classes).' classes' : implode(', ', $classes);
        $parts = array_filter(array_map(self::fit(...), [$title, $whom, $what]), static fn (string $p): bool => $p !== '');

        return new self(implode(' · ', $parts).'.'.$ending);
    }

    public function __toString(): string
    {
        return $this->name;
    }

    /** As a header of a response (RFC 6266), for old programs in plain letters too. */
    public function disposition(): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII', str_replace('·', '-', $this->name));
        $plain = trim((string) preg_replace('/[^ -~]+/', '', $plain === false ? '' : $plain));

        return HeaderUtils::makeDisposition('attachment', $this->name, $plain === '' ? 'download' : $plain);
    }

    /** Without what a file system or the header would not take. */
    private static function fit(string $part): string
    {
        $kept = (string) preg_replace('/[\/\\\\:*?"<>|%\p{C}]+/u', ' ', $part);

        return trim(mb_strimwidth((string) preg_replace('/\s+/u', ' ', $kept), 0, self::LONGEST_PART, '…'), ' .');
    }
}
