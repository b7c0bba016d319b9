<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use Symfony\Component\Yaml\Yaml;

/** The demo's files, read: what is told in demo/bank.yaml and demo/classes.yaml. */
final class Scenario
{
    /** @var array<array-key, mixed> */
    private readonly array $bank;

    /** @var array<array-key, mixed> */
    private readonly array $people;

    public function __construct(private readonly string $projectDir)
    {
        $bank = self::map(Yaml::parseFile($projectDir.'/demo/bank.yaml'));
        $names = static fn (string $part): array => array_map(
            static fn (mixed $one): string => self::text(is_array($one) ? $one[0] ?? '' : $one),
            array_combine(array_map(strval(...), array_keys(self::map($bank[$part] ?? []))), array_values(self::map($bank[$part] ?? []))),
        );
        $noted = (string) file_get_contents($projectDir.'/demo/questions.txt');
        $bank['questions'] = self::map($bank['questions'] ?? []) + NotedQuestions::read($noted, $names('skills'), $names('misconceptions'));
        $this->bank = $bank;
        $this->people = self::map(Yaml::parseFile($projectDir.'/demo/classes.yaml'));
    }

    /** @return array<array-key, mixed> */
    public function bank(string $part): array
    {
        return self::map($this->bank[$part] ?? []);
    }

    /** @return array<array-key, mixed> */
    public function people(string $part): array
    {
        return self::map($this->people[$part] ?? []);
    }

    /** @return array<array-key, mixed> */
    public function question(string $slug): array
    {
        return self::map($this->bank('questions')[$slug] ?? []);
    }

    public function picture(string $file): string
    {
        return (string) file_get_contents($this->projectDir.'/demo/pictures/'.basename($file));
    }

    /** where a page of paper lies */
    public function sheet(string $file): string
    {
        return $this->projectDir.'/demo/sheets/'.basename($file);
    }

    /** how long a source plays; 0 where nobody needs to know */
    public function seconds(string $title): int
    {
        foreach ($this->bank('sources') as $source) {
            if (self::text(self::map($source)['title'] ?? '') === $title) {
                return (int) self::text(self::map($source)['seconds'] ?? '0');
            }
        }

        return 0;
    }

    public function film(string $file): string
    {
        return (string) file_get_contents($this->projectDir.'/demo/films/'.basename($file));
    }

    public function sound(string $file): string
    {
        return (string) file_get_contents($this->projectDir.'/demo/sounds/'.basename($file));
    }

    /** @return array<array-key, mixed> */
    public static function map(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }

    public static function text(mixed $value): string
    {
        return is_string($value) || is_int($value) || is_float($value) ? (string) $value : '';
    }
}
