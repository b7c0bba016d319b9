<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Server\Exchange\ReadModel\TeamCopy;
use ChalkLadder\Server\Platform\Storage\TeamBytes;

/**
 * A team with all that is theirs in one file: a line of JSON each row, then what their files hold in parts, and a last line
 * with the checksum of those before.
 * The same rows give the same file, so a restored team's backup is the backup it was restored from. Sessions are left out.
 */
final readonly class TeamBackup
{
    private const FORMAT = 'chalk-ladder-team-1';
    private const LONGEST_LINE = 20_000_000;
    /** Bytes of a file in one line. */
    private const PART = 6_000_000;

    public function __construct(private TeamCopy $copy, private TeamBytes $bytes)
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
        foreach ($this->bytes->ofTeam($teamId) as $name => $bytes) {
            foreach (str_split($bytes, self::PART) as $i => $part) {
                $put(json_encode(['file' => $name, 'part' => $i, 'bytes' => base64_encode($part)], JSON_THROW_ON_ERROR)."\n");
                ++$count;
            }
        }
        $checksum = hash_final($hash);
        fwrite($file, json_encode(['rows' => $count, 'checksum' => $checksum], JSON_THROW_ON_ERROR)."\n");
        fclose($file);
        if ($count === 0) {
            throw new \UnexpectedValueException('There is no such team here.');
        }

        return [$count, $checksum];
    }

    /** Reads the file several times: once to prove it, once to put rows back, once for what files hold. */
    public function restore(string $path): int
    {
        $count = $this->prove($path);
        $this->copy->restore($this->rows($path));
        foreach ($this->files($path) as $name => $bytes) {
            $this->bytes->put($name, $bytes);
        }

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

    /** @return iterable<string, string> */
    private function files(string $path): iterable
    {
        $file = self::open($path, 'r');
        $name = null;
        $bytes = '';
        while (($line = fgets($file, self::LONGEST_LINE)) !== false) {
            $json = str_starts_with($line, '{"file":') ? json_decode($line, true) : null;
            $at = is_array($json) && is_string($json['file'] ?? null) ? $json['file'] : null;
            if ($name !== null && $name !== $at) {
                yield $name => $bytes;
                $bytes = '';
            }
            $name = $at;
            $bytes .= is_array($json) && is_string($json['bytes'] ?? null) ? (string) base64_decode($json['bytes'], true) : '';
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
