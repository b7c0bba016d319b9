<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Exchange\CsvTable;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Reads CSV, prints JSON; the shapes are in docs/formats/measure.md. Bad input ends in 2 with file, line and column. */
abstract class MeasureCommand extends Command
{
    private const BAD_INPUT = 2;
    private const LARGEST = 200_000_000;

    /** @return array<string, mixed> */
    abstract protected function measure(InputInterface $input): array;

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $output->writeln(
                json_encode($this->measure($input), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        } catch (\UnexpectedValueException|\DomainException $e) {
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                $e->getMessage(),
                OutputInterface::OUTPUT_RAW,
            );

            return self::BAD_INPUT;
        }

        return self::SUCCESS;
    }

    public static function table(mixed $path): CsvTable
    {
        $path = is_string($path) ? $path : '';
        $stream = is_file($path) && filesize($path) <= self::LARGEST ? fopen($path, 'r') : false;
        if ($stream === false) {
            throw new \UnexpectedValueException("$path: ".(is_file($path) ? 'this is too large' : 'cannot be read'));
        }
        try {
            return CsvTable::read($stream, $path);
        } finally {
            fclose($stream);
        }
    }

    public static function number(string $cell, string $where): float
    {
        if (is_numeric($cell)) {
            return (float) $cell;
        }
        if (preg_match('#^(\d+)/([1-9]\d*)$#D', $cell, $m) === 1) {
            return (int) $m[1] / (int) $m[2];
        }
        throw new \UnexpectedValueException("$where: \"$cell\" is not a number");
    }

    /** A table of right and wrong, for the models. */
    protected static function binary(mixed $path): Binary
    {
        $table = self::table($path);
        $name = is_string($path) ? $path : '';
        try {
            return Binary::of(ResponseTable::questions($table, $name, null), count($table->rows));
        } catch (\DomainException $e) {
            throw new \UnexpectedValueException("$name: ".$e->getMessage());
        }
    }

    /** @return array{float, float}|null */
    protected static function interval(Figure $figure): ?array
    {
        return $figure->low === null || $figure->high === null ? null : [$figure->low, $figure->high];
    }
}
