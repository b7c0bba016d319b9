<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Tests\RouteCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Throws what nobody would type at every field of every route: whatever comes, the answer is no fault of the server's.
 * A bounded part runs with the others; `bin/test fuzz` takes 10 000 tries. CHALK_FUZZ sets their number, CHALK_FUZZ_SEED the seed.
 */
final class FuzzTest extends RouteCase
{
    private const TRIES = 1200;
    private const BATCH = 400;
    /** Made by a browser or held open by nginx. */
    private const LEFT_OUT = ['POST /pdfs/{pdf}/file', 'POST /session', 'POST /join'];

    /** @var array<string, string> */
    private array $ids;
    private Randomizer $random;

    /** @return iterable<string, array{int, int}> tries and seed; each batch is one transaction */
    public static function batches(): iterable
    {
        $tries = (int) (getenv('CHALK_FUZZ') === false ? self::TRIES : getenv('CHALK_FUZZ'));
        $seed = (int) (getenv('CHALK_FUZZ_SEED') === false ? random_int(1, 1_000_000) : getenv('CHALK_FUZZ_SEED'));
        for ($batch = 0; $tries > 0; ++$batch, $tries -= self::BATCH) {
            yield 'seed '.($seed + $batch) => [min(self::BATCH, $tries), $seed + $batch];
        }
    }

    #[DataProvider('batches')]
    public function testNothingThatComesInIsAFaultOfTheServers(int $tries, int $seed): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->ids = $this->subjects();
        $bodies = $this->bodies($this->ids);
        $routes = array_values(array_diff(AccessTest::routes(), self::LEFT_OUT));
        $faults = [];
        for ($i = 0; $i < $tries; ++$i) {
            $key = $routes[$this->random->getInt(0, count($routes) - 1)];
            [$method, $pattern] = explode(' ', $key);
            $path = self::path(
                $pattern,
                $this->random->getInt(0, 9) === 0 ? array_map(
                    fn (): string => '01900000-0000-7000-8000-00000000'.sprintf('%04d', $this->random->getInt(0, 9999)),
                    $this->ids,
                ) : $this->ids,
            );
            $plain = $bodies[$key] ?? [];
            if ($method === 'GET' || is_string($plain)) {
                $path .= '?'.http_build_query($this->query());
            }
            $body = match (true) {
                $method === 'GET' => null,
                is_string($plain) => $this->random->getBytes(5),
                default => $this->spoiled($plain),
            };
            $this->begin();
            $this->as(str_starts_with($pattern, '/me') ? $this->world->students['Ada Okafor'] : $this->world->lead);
            $answer = is_string($plain) ? $this->askBytes($method, $path, (string) $body) : $this->ask($method, $path, $body);
            $status = $answer->getStatusCode();
            $this->undo();
            if ($status >= 500) {
                $faults[] = "$method $path ".mb_substr(mb_scrub((string) $body), 0, 600).' → '.$status;
                if (count($faults) > 8) {
                    break;
                }
            }
        }
        self::assertSame([], $faults);
    }

    public function testAListOfNothingIsNoFaultOfTheServers(): void
    {
        $this->ids = $this->subjects();
        $faults = [];
        foreach ($this->bodies($this->ids) as $key => $plain) {
            if (is_string($plain) || in_array($key, self::LEFT_OUT, true)) {
                continue;
            }
            [$method, $pattern] = explode(' ', $key);
            foreach (self::hollowed($plain) as $body) {
                $this->begin();
                $this->as(str_starts_with($pattern, '/me') ? $this->world->students['Ada Okafor'] : $this->world->lead);
                $json = json_encode($body, JSON_THROW_ON_ERROR);
                $status = $this->ask($method, self::path($pattern, $this->ids), $json)->getStatusCode();
                $this->undo();
                if ($status >= 500) {
                    $faults[] = "$key $json → $status";
                }
            }
        }
        self::assertSame([], $faults);
    }

    /**
     * The body with one of its lists holding nothing but a null, each in turn.
     *
     * @param array<array-key, mixed> $body
     *
     * @return iterable<array<array-key, mixed>>
     */
    private static function hollowed(array $body): iterable
    {
        foreach ($body as $key => $part) {
            if (is_array($part) && array_is_list($part)) {
                yield [$key => [null]] + $body;
            }
            foreach (is_array($part) ? self::hollowed($part) : [] as $inner) {
                yield [$key => $inner] + $body;
            }
        }
    }

    /** @return array<string, mixed> */
    private function query(): array
    {
        $names = ['q', 'skill', 'misconception', 'type', 'by', 'kind', 'before', 'since', 'second', 'ticket', 'key', 'at', 'ids'];
        $query = [];
        for ($n = $this->random->getInt(0, 2); $n > 0; --$n) {
            $query[$names[$this->random->getInt(0, count($names) - 1)]] = $this->oddity();
        }

        return $query;
    }

    /** @param array<string, mixed> $body */
    private function spoiled(array $body): string
    {
        for ($n = $this->random->getInt(1, 3); $n > 0; --$n) {
            $body = $this->spoil($body);
        }
        $json = json_encode((object) $body, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);

        return match ($this->random->getInt(0, 40)) {
            0 => substr($json, 0, $this->random->getInt(0, strlen($json))),
            1 => str_replace('e', "\xFF", $json),
            2 => str_replace('"x', '"\ud800x', $json),
            3 => str_repeat('[', 200).$json.str_repeat(']', 200),
            4 => (string) preg_replace('/"[a-z]/', '"\u0000', $json, 1),
            default => $json,
        };
    }

    /**
     * @param array<array-key, mixed> $part
     *
     * @return array<array-key, mixed>
     */
    private function spoil(array $part): array
    {
        $keys = array_keys($part);
        $choice = $this->random->getInt(0, 9);
        if ($keys === [] || $choice === 0) {
            $part[$this->random->getInt(0, 1) === 0 ? 'unknown' : 'name'] = $this->oddity();

            return $part;
        }
        $key = $keys[$this->random->getInt(0, count($keys) - 1)];
        if ($choice === 1) {
            unset($part[$key]);

            return array_is_list($part) || !is_int($key) ? $part : array_values($part);
        }
        $inside = $part[$key];
        $part[$key] = is_array($inside) && $choice < 8 ? $this->spoil($inside) : $this->oddity();

        return $part;
    }

    private function oddity(): mixed
    {
        $all = [
            null, '', ' ', "\u{FEFF}", "a\0b", 'x', str_repeat('x', 300), str_repeat("\u{1F419}", 3000), '<script>',
            '01900000-0000-7000-8000-000000000000', '------------------------------------',
            $this->ids['item'], $this->ids['student'], $this->ids['handout'], 'e-choice', 'open', 'choice', 'text', 'number',
            '2026-02-30T00:00:00.000Z', '2026-11-26T09:00:00.000Z', '9999999999-01-01T00:00:00.000Z',
            '1/0', '1/3', '-1', '1e400', '٣', '½', '=1+1', '%', '_', '{h}', '= h / 0', 'q1.answer', '\\', "'", '"',
            "'; DROP TABLE item; --", '../../etc/passwd',
            0, -1, 1, 2, 99, PHP_INT_MAX, PHP_INT_MIN, 1.5, 1e308, -0.0, true, false, [], [[]], [null], [1], ['a'], ['a' => 'b'],
            ['id' => []], [['id' => 'a']], array_fill(0, 600, 'x'), ['a' => ['b' => ['c' => ['d' => ['e' => 1]]]]],
        ];

        return $all[$this->random->getInt(0, count($all) - 1)];
    }
}
