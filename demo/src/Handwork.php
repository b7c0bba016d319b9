<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Kind;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Filesystem\Filesystem;

/** What simulated students draw, say and photograph: each draws with a hand of their own, so that no two drawings are alike. */
final readonly class Handwork
{
    public function __construct(private Files $files, private string $projectDir)
    {
    }

    /**
     * An answer as the scenario gives it, with its drawing as strokes and its files sent.
     *
     * @param array<string, mixed> $value
     *
     * @return array<string, mixed>
     */
    public function made(array $value, string $teamId, string $sittingId): array
    {
        if (isset($value['draws'])) {
            return ['strokes' => $this->strokes(Scenario::map($value['draws']), $sittingId), 'files' => [], 'text' => ''];
        }
        if (isset($value['files'])) {
            $value['files'] = array_map(
                fn (mixed $name): string => $this->sent($teamId, $sittingId, Scenario::text($name)),
                array_values(Scenario::map($value['files'])),
            );
        }

        return $value;
    }

    /**
     * @param array<array-key, mixed> $draws `pen`: the corners of one line, `words`: x, y and the words
     *
     * @return list<array<string, mixed>>
     */
    private function strokes(array $draws, string $seed): array
    {
        $hand = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'hand|'.$seed, true)));
        $off = static fn (int $most): int => $hand->getInt(-$most, $most);
        $corners = [];
        foreach (array_values(Scenario::map($draws['pen'] ?? [])) as $corner) {
            $corner = Scenario::map($corner);
            $corners[] = [self::whole($corner[0] ?? 0) + $off(14), self::whole($corner[1] ?? 0) + $off(12)];
        }
        $points = [];
        foreach ($corners as $i => [$x, $y]) {
            [$fromX, $fromY] = $corners[max(0, $i - 1)];
            foreach ($i === 0 ? [1] : [0.25, 0.5, 0.75, 1] as $part) {
                $points[] = [(int) round($fromX + ($x - $fromX) * $part) + $off(2), (int) round($fromY + ($y - $fromY) * $part) + $off(2)];
            }
        }
        $strokes = [['tool' => 'pen', 'colour' => $hand->getInt(0, 1), 'width' => 6, 'at' => 2000 + $off(900), 'points' => self::written($points)]];
        foreach (array_values(Scenario::map($draws['words'] ?? [])) as $i => $word) {
            $w = Scenario::map($word);
            $strokes[] = [
                'tool' => 'words', 'colour' => 0, 'width' => 32, 'at' => 9000 + 4000 * $i,
                'points' => self::written([[self::whole($w[0] ?? 0) + $off(10), self::whole($w[1] ?? 0) + $off(8)]]),
                'text' => Scenario::text($w[2] ?? ''),
            ];
        }

        return $strokes;
    }

    /** @param list<array{int, int}> $points */
    private static function written(array $points): string
    {
        $numbers = [];
        $last = [0, 0];
        foreach ($points as $i => $point) {
            array_push($numbers, $point[0] - $last[0], $point[1] - $last[1], $i === 0 ? 0 : 60);
            $last = $point;
        }

        return implode(' ', $numbers);
    }

    private static function whole(mixed $number): int
    {
        return is_int($number) ? $number : 0;
    }

    private function sent(string $teamId, string $sittingId, string $name): string
    {
        $folder = sys_get_temp_dir().'/chalk-demo-'.bin2hex(random_bytes(6));
        $disk = new Filesystem();
        $disk->copy($this->projectDir.'/demo/'.$name, "$folder/whole");
        try {
            return $this->files->keep(
                $teamId,
                $sittingId,
                basename($name),
                Content::read("$folder/whole", [Kind::Picture, Kind::Sound], $folder),
            );
        } finally {
            $disk->remove($folder);
        }
    }
}
