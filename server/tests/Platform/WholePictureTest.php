<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Places;
use ChalkLadder\Server\Roster\Rosters;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Plan;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/**
 * What a team reads of a term's work, desk by desk, as it was looked at and approved: whole-picture.json. Every figure, word and
 * order that reaches a screen stands there, so that none changes unnoticed. Where a change is meant, run this test with
 * CHALK_APPROVE=1, read the difference, and keep it.
 */
final class WholePictureTest extends ApiCase
{
    private const FILE = __DIR__.'/whole-picture.json';
    private const ID = '/[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/';
    private const FIRST = ['Ines', 'Jonas', 'Kaia', 'Luca', 'Mina', 'Nils', 'Oona', 'Pavel', 'Quentin', 'Rosa', 'Sven', 'Tala'];
    private const LAST = ['Adler', 'Bask', 'Corley'];

    private MockClock $clock;
    /** @var array<string, string> what an id is called here, in the order of appearance */
    private array $called = [];

    protected function setUp(): void
    {
        // The world is to begin at the same moment each time.
        $this->clock = new MockClock('2026-11-26 09:00:00');
        Clock::set($this->clock);
        parent::setUp();
    }

    public function testNothingThatIsReadHasChangedUnnoticed(): void
    {
        $paths = $this->term($this->clock);
        $picture = [];
        foreach ($paths as [$who, $method, $path, $body]) {
            $response = $this->as($who)->ask($method, $path, $body);
            self::assertSame(200, $response->getStatusCode(), "$method $path ".$response->getContent());
            $text = (string) $response->getContent();
            $json = json_decode($text, true);
            $key = ($who instanceof StudentUser ? 'student: ' : '')."$method ".$this->named($path)
                .($body === null ? '' : ' '.$this->named(json_encode($body, JSON_THROW_ON_ERROR)));
            $picture[$key] = $this->plain($json ?? explode("\n", trim($text)));
        }
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION;
        $now = (string) preg_replace('/^( +)/m', '', json_encode($picture, $flags))."\n";
        if (getenv('CHALK_APPROVE') === '1') {
            file_put_contents(self::FILE, $now);
        }
        self::assertSame(explode("\n", (string) file_get_contents(self::FILE)), explode("\n", $now));
    }

    /** @return list<array{\ChalkLadder\Server\Identity\StaffUser|StudentUser, string, string, array<string, mixed>|null}> what is then read, by whom */
    private function term(MockClock $clock): array
    {
        $world = $this->world;
        $class = $world->get(Rosters::class)->create($world->lead, new ClassInput('8 Tern'))->id;
        $names = [];
        foreach (self::LAST as $last) {
            foreach (self::FIRST as $first) {
                $names[] = "$first $last";
            }
        }
        $world->get(Places::class)->add($world->lead, $class, new RosterInput(implode("\n", $names)));
        $students = [];
        foreach ($this->tables->rows('SELECT id, name FROM student WHERE team_id = :team', ['team' => $world->lead->teamId]) as $row) {
            $students[$row->text('name')] = new StudentUser($row->text('id'), $world->lead->teamId, $row->text('name'));
        }
        $lead = $this->as($world->lead);
        $handouts = [];
        foreach ([0, 1] as $time) {
            $clock->sleep(86_400);
            $handout = $lead->get('POST', '/handouts', [
                'editionId' => $world->editionId, 'classes' => [$class, $world->classId], 'students' => [],
                'conditions' => ['attempts' => 2, 'counts' => 'best', 'feedback' => $time === 0 ? Plan::ON_RETURN : Plan::AT_ONCE],
                'requestId' => sprintf('01900000-0000-7000-8000-00000000000%d', $time),
            ])->text('id');
            $handouts[] = $handout;
            foreach ($names as $i => $name) {
                $clock->sleep(60);
                $this->sit($students[$name], $handout, $i, $time);
            }
        }
        [$first, $second] = $handouts;
        $sittings = array_map(
            static fn ($row): string => $row->text('id'),
            $this->tables->rows(
                'SELECT s.id FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id ORDER BY st.name',
                ['id' => $first],
            ),
        );
        foreach (array_slice($sittings, 0, 20) as $i => $sitting) {
            $mark = ['sittingId' => $sitting, 'entry' => 'e-open', 'try' => 1, 'levels' => [$i % 2], 'markVersion' => 0];
            $this->as($world->lead)->ask('PUT', '/marks', $mark + ['comment' => $i % 5 === 0 ? 'Say why.' : '']);
            if ($i < 12) {
                $levels = [($i + ($i % 5 === 0 ? 1 : 0)) % 2];
                $this->as($world->marker)->ask('PUT', '/second-marks', ['levels' => $levels] + array_diff_key($mark, ['markVersion' => 1]));
            }
        }
        $this->as($world->lead)->get('POST', "/handouts/$first/keys/e-text", ['accept' => ['text' => 'Reef'], 'credit' => '1/2']);
        $this->get('POST', "/handouts/$first/return", [
            'students' => [$students[$names[0]]->id, $students[$names[5]]->id],
            'message' => 'Look at question 3 again.',
        ]);
        $grouping = $this->get('POST', "/handouts/$first/groupings", [
            'name' => 'Next week', 'aim' => 'rung',
            'groups' => [
                ['name' => 'One', 'members' => [['studentId' => $students[$names[0]]->id, 'reason' => 'a']]],
                ['name' => 'Two', 'members' => [['studentId' => $students[$names[1]]->id, 'reason' => 'b']]],
            ],
        ]);
        $this->get('POST', '/groupings/'.$grouping->text('id').'/follow-ups', [
            'groups' => [[
                'groupId' => $grouping->text('groups.0.id'), 'editionId' => $world->editionId,
                'requestId' => '01900000-0000-7000-8000-000000000009',
            ]],
            'conditions' => ['attempts' => 1, 'counts' => 'best', 'feedback' => Plan::NOTHING],
        ]);
        $paths = [
            '/bank/terms', '/items', '/items?q=choice', '/items/'.$world->items['number'], '/papers', '/papers/'.$world->paperId, '/classes',
            '/handouts', "/handouts/$first", "/handouts/$first/lookout", "/sittings/$sittings[3]", '/marking',
            "/handouts/$first/marking/e-choice", "/handouts/$first/marking/e-text", "/handouts/$second/marking/e-open",
            "/handouts/$first/return", '/outbox', '/trail', "/handouts/$first/results", "/handouts/$first/results/model",
            "/handouts/$first/results/skills", "/handouts/$first/results/classes", "/handouts/$second/results/change?from=$first",
            "/handouts/$first/results/markers", "/handouts/$first/groups?by=rung", "/handouts/$first/groups?by=misconception", '/groupings',
            '/groupings/'.$grouping->text('id'), "/handouts/$first/responses.csv", "/handouts/$first/marks.csv",
        ];
        $reads = array_map(static fn (string $path): array => [$world->lead, 'GET', $path, null], $paths);
        $reads[] = [$world->lead, 'POST', "/handouts/$first/groups", ['groups' => 6, 'aim' => 'mixed']];
        $reads[] = [$world->lead, 'POST', "/handouts/$first/groups", ['groups' => 7, 'aim' => 'by misconception', 'least' => 4, 'most' => 6]];
        $reads[] = [$world->lead, 'POST', '/papers/'.$world->paperId.'/rehearsal', ['students' => 200, 'seed' => '1']];
        foreach ([0, 5] as $i) {
            $reads[] = [$students[$names[$i]], 'GET', '/me/work', null];
        }

        return $reads;
    }

    /** Answers that follow from the student's place in the class: the later, the more is right; some leave blanks or come no further. */
    private function sit(StudentUser $who, string $handout, int $i, int $time): void
    {
        $able = ($i * 7 + 3 * $time) % 36;
        $answers = [
            'e-choice' => ['options' => [$able > 14 ? 'a' : 'b']],
            'e-text' => ['text' => ['SECRETROCK', 'SECRETBROOK', 'reef', 'Reef ', 'secretrok'][$able % 5]],
            'e-number' => ['text' => $able > 20 ? '98.76 m' : ($able > 9 ? '12.34' : ($able > 5 ? '12' : ''))],
            'e-open' => ['text' => $able % 6 === 0 ? '' : ['The moon pulls.', 'The sun and the moon pull the water.', 'Wind.'][$able % 3]],
        ];
        if ($i % 11 === 10) {
            return;
        }
        $this->world->sit($who->name, $handout, $i % 9 === 8 ? array_slice($answers, 0, 2) : $answers, $who);
    }

    /**
     * A map by ids has no order of its own: it is put into one by what its parts say.
     *
     * @param array<array-key, mixed> $value
     *
     * @return array<array-key, mixed>
     */
    private static function inOrder(array $value): array
    {
        $named = array_filter(array_keys($value), static fn (int|string $k): bool => preg_match(self::ID, (string) $k) === 1);
        if ($value !== [] && count($named) === count($value)) {
            uasort($value, static fn (mixed $a, mixed $b): int => self::withoutIds($a) <=> self::withoutIds($b));
        }

        return $value;
    }

    private static function withoutIds(mixed $value): string
    {
        return (string) preg_replace(self::ID, '#', json_encode($value, JSON_THROW_ON_ERROR));
    }

    /** With ids by the order in which they appear, and numbers to six figures. */
    private function plain(mixed $value): mixed
    {
        if (is_array($value)) {
            $plain = [];
            foreach (self::inOrder($value) as $key => $one) {
                $secret = $key === 'pin' || ($key === 'code' && is_string($one));
                $plain[is_string($key) ? $this->named($key) : $key] = $secret ? '…' : $this->plain($one);
            }

            return $plain;
        }
        if (is_float($value)) {
            return (float) sprintf('%.6G', $value);
        }

        return is_string($value) ? $this->named($value) : $value;
    }

    private function named(string $text): string
    {
        return (string) preg_replace_callback(
            self::ID,
            fn (array $m): string => $this->called[$m[0]] ??= '#'.(count($this->called) + 1),
            $text,
        );
    }
}
