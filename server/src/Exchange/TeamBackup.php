<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Server\Exchange\ReadModel\TeamCopy;

/**
 * A team with all that is theirs in one file: a line of JSON each row, and a last line with the checksum of those before.
 * The same rows give the same file, so a restored team's backup is the backup it was restored from. Sessions are left out.
 */
final readonly class TeamBackup
{
    private const FORMAT = 'chalk-ladder-team-1';
    private const LONGEST_LINE = 20_000_000;

    public function __construct(private TeamCopy $copy)
    {
    }

    /** @return array{int, string} rows and checksum */
    public function write(string $teamId, string $path): array
    {
        $file = self::open($path, 'w');
        $hash = hash_init('sha256');
        $put = static function (string $line) use ($file, $hash): void {
            hash_update($hash, $line);
            if (fwrite($file, $line) !== strlen($line)) {
                throw new \UnexpectedValueException('The file could not be written; is the disk full?');
            }
        };
        $put(json_encode(['format' => self::FORMAT, 'team' => $teamId], JSON_THROW_ON_ERROR)."\n");
        $count = 0;
        foreach ($this->copy->rows($teamId) as [$table, $row]) {
            $put('{"table":"'.$table.'","row":'.$row."}\n");
            ++$count;
        }
        $checksum = hash_final($hash);
        fwrite($file, json_encode(['rows' => $count, 'checksum' => $checksum], JSON_THROW_ON_ERROR)."\n");
        fclose($file);
        if ($count === 0) {
            throw new \UnexpectedValueException('There is no such team here.');
        }

        return [$count, $checksum];
    }

    /** Reads the file twice: once to prove it, once to put it back. */
    public function restore(string $path): int
    {
        $count = $this->prove($path);
        $this->copy->restore($this->rows($path));

        return $count;
    }

    private function prove(string $path): int
    {
        $file = self::open($path, 'r');
        $hash = hash_init('sha256');
        $count = -1;
        while (($line = fgets($file, self::LONGEST_LINE)) !== false) {
            $json = json_decode($line, true);
            if (is_array($json) && isset($json['checksum'])) {
                fclose($file);
                if ($json['checksum'] !== hash_final($hash) || $json['rows'] !== $count) {
                    throw new \UnexpectedValueException('This backup is damaged: its checksum does not fit.');
                }

                return $count;
            }
            if (!is_array($json) || ($count === -1 && ($json['format'] ?? null) !== self::FORMAT)) {
                throw new \UnexpectedValueException('This is no backup of a team.');
            }
            hash_update($hash, $line);
            ++$count;
        }
        throw new \UnexpectedValueException('This backup is not whole: its end is missing.');
    }

    /** @return iterable<array{string, string}> */
    private function rows(string $path): iterable
    {
        $file = self::open($path, 'r');
        while (($line = fgets($file, self::LONGEST_LINE)) !== false) {
            if (preg_match('/^\{"table":"([a-z_]+)","row":(.*)\}$/Ds', rtrim($line, "\n"), $m) === 1) {
                yield [$m[1], $m[2]];
            }
        }
        fclose($file);
    }

    /** @return resource */
    private static function open(string $path, string $mode): mixed
    {
        $file = @fopen($path, $mode);

        return $file === false ? throw new \UnexpectedValueException("$path: cannot be opened") : $file;
    }
}
