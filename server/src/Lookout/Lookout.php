<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handout;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\Picture;
use ChalkLadder\Server\Sitting\SittingChanged;
use ChalkLadder\Server\Sitting\SittingStore;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/** The live picture of a running handout: a snapshot on asking, and each changed row as it changes. */
final class Lookout
{
    private const ROWS = "SELECT hs.student_id, st.name, s.id AS sitting_id, coalesce(s.state, 'expected') AS state, coalesce(s.attempt, 0) AS attempt, coalesce(s.version, 0) AS version, s.at_entry, s.walk,
            (SELECT coalesce(json_agg(json_build_array(r.entry, r.try, r.verdict, coalesce(r.hand_credit, r.credit), r.hand_credit IS NOT NULL) ORDER BY r.try), '[]') FROM response r WHERE r.sitting_id = s.id AND r.counter > 0) AS answers
        FROM handout_student hs JOIN student st ON st.id = hs.student_id
        LEFT JOIN LATERAL (SELECT * FROM sitting WHERE handout_id = hs.handout_id AND student_id = hs.student_id ORDER BY attempt DESC LIMIT 1) s ON true
        WHERE hs.handout_id = :handout";

    /** @var array<string, SittingChanged> */
    private array $changed = [];

    public function __construct(
        private readonly Database $database,
        private readonly Handouts $handouts,
        private readonly SittingStore $sittings,
        private readonly Terms $terms,
        private readonly Teams $teams,
        private readonly Push $push,
    ) {
    }

    public function snapshot(string $teamId, string $handoutId): LookoutView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $rungs = $this->teams->rungs($teamId);
        $numbers = $handout->edition->numbers();
        $columns = [];
        foreach ($handout->edition->paper()->sections as $section) {
            foreach ($section->questions() as $entry) {
                $columns[] = new ColumnView($entry->id, $numbers[$entry->id], $handout->edition->title($entry->id), $section->title, $entry->points->toFloat(), $handout->edition->item($entry->id)?->type()->value ?? '');
            }
        }
        $rows = $this->database->rows(self::ROWS.' ORDER BY st.name_folded, st.id', ['handout' => $handoutId]);

        return new LookoutView($this->handouts->show($teamId, $handoutId), $columns, array_map(static fn (Row $r): RowView => self::row($handout, $rungs, $r), $rows), array_column($rungs->bands, 'name'));
    }

    #[AsEventListener]
    public function onChange(SittingChanged $event): void
    {
        $this->changed[$event->sittingId] = $event;
    }

    /** After the response has gone out: each changed row, once, to the screens that watch. Before {@see Push} sends. */
    #[AsEventListener(priority: 10)]
    public function publish(TerminateEvent $event): void
    {
        $watched = [];
        foreach ($this->changed as $changed) {
            if (!($watched[$changed->handoutId] ??= $this->push->isWatched(Push::teachers($changed->handoutId)))) {
                continue;
            }
            $row = $this->database->row(self::ROWS.' AND s.id = :sitting', ['handout' => $changed->handoutId, 'sitting' => $changed->sittingId]);
            $team = $this->database->row('SELECT team_id FROM handout WHERE id = :id', ['id' => $changed->handoutId]);
            if ($row !== null && $team !== null) {
                $handout = $this->handouts->find($team->text('team_id'), $changed->handoutId);
                $this->push->send(Push::teachers($changed->handoutId), ['kind' => 'row', 'row' => self::row($handout, $this->teams->rungs($handout->teamId), $row)]);
            }
        }
        $this->changed = [];
    }

    public function work(string $teamId, string $sittingId): WorkView
    {
        $sitting = $this->sittings->ofTeam($teamId, $sittingId);
        $student = $this->database->row('SELECT name FROM student WHERE id = :id', ['id' => $sitting->studentId]);
        $names = $this->terms->misconceptionNames($teamId);
        $numbers = $sitting->edition->numbers();
        $byStep = [];
        $all = $this->sittings->answers($sitting);
        foreach ($all as $answer) {
            $byStep[$answer->entry][$answer->try] = $answer;
        }
        $score = Score::of($sitting->edition->paper(), $sitting->walk, Answer::credits($all), $sitting->markStep);
        $answers = [];
        foreach ($sitting->walk->steps($sitting->edition->paper()) as $step) {
            $item = $sitting->own($step['entry'])?->item;
            if ($item !== null) {
                $answers[] = self::answer($item, $step['entry'], $step['try'], $numbers[$step['entry']], $sitting->edition->title($step['entry']), $byStep[$step['entry']][$step['try']] ?? null, $names);
            }
        }
        $late = [];
        foreach ($this->database->rows('SELECT entry, try, value, counter, received_at FROM late_response WHERE sitting_id = :id ORDER BY received_at LIMIT 200', ['id' => $sittingId]) as $row) {
            $own = $sitting->own($row->text('entry'));
            if ($own !== null) {
                $response = Response::fromArray($row->json('value'));
                $given = new Answer($row->text('entry'), $row->int('try'), $response, $row->int('counter'), true, $own->check($response));
                $late[] = self::answer($own->item, $given->entry, $given->try, $numbers[$given->entry], $sitting->edition->title($given->entry), $given, $names);
            }
        }

        return new WorkView($sittingId, $student?->text('name') ?? '', $sitting->state->value, $sitting->attempt, NumberText::write($score->total), NumberText::write($score->possible), $sitting->message, $sitting->reply, $answers, $late);
    }

    /** A response in words: option letters and texts, or what was typed. */
    public static function given(Item $item, Response $response): string
    {
        if (!$item->rule instanceof ChoiceRule) {
            return $response->text;
        }
        $rule = $item->rule;
        $picked = array_filter($rule->options, static fn (Option $o): bool => in_array($o->id, $response->options, true));

        return implode(', ', array_map(static fn (Option $o): string => $rule->letter($o->id).' '.trim(html_entity_decode(strip_tags($o->text), ENT_QUOTES | ENT_HTML5)), $picked));
    }

    /** @param array<string, string> $names of misconceptions */
    private static function answer(Item $item, string $entry, int $try, int $number, string $title, ?Answer $answer, array $names): WorkAnswerView
    {
        $credit = $answer?->credit();
        $misconceptions = $answer === null ? [] : ($item->rule instanceof OpenRule && $answer->handLevels !== null ? $item->rule->misconceptionsOf($answer->handLevels) : $answer->outcome->misconceptions);

        return new WorkAnswerView(
            $entry,
            $try,
            $number,
            $title,
            $item->prompt,
            $item->type()->value,
            $answer === null ? '' : self::given($item, $answer->response),
            $answer->outcome->readAs ?? '',
            $answer?->verdict()->value ?? 'none',
            $credit === null ? null : (string) $credit,
            NumberText::write($item->points),
            trim(html_entity_decode(strip_tags(Picture::key($item)), ENT_QUOTES | ENT_HTML5)),
            $answer->comment ?? '',
            $answer?->handCredit !== null,
            $answer->markVersion ?? 0,
            array_map(static fn (string $id): string => $names[$id] ?? '', $misconceptions),
            $answer?->savedAt,
            $answer?->millis === null ? null : $answer->millis / 1000,
            $answer?->confidence,
        );
    }

    private static function row(Handout $handout, Rungs $rungs, Row $r): RowView
    {
        $cells = [];
        $credits = [];
        foreach ($r->json('answers') as $answer) {
            if (!is_array($answer) || !is_string($answer[0] ?? null) || !is_int($answer[1] ?? null)) {
                continue;
            }
            [$entry, $try] = [$answer[0], $answer[1]];
            $verdict = $answer[2] ?? 'none';
            $byHand = $answer[4] ?? false;
            $value = is_string($answer[3] ?? null) ? BigRational::of($answer[3]) : null;
            $cells[$entry] = new CellView(match (true) {
                $value === null => 'waits',
                $verdict === Verdict::None->value && $byHand !== true => 'blank',
                default => Verdict::ofCredit($value)->value,
            }, $try);
            $credits[$entry][$try] = $value;
        }
        $walk = $r->textOrNull('walk');
        $marks = 0.0;
        $possible = 0.0;
        $route = [];
        if ($walk !== null) {
            /** @var array{visits: list<array{section: string, try: int, entries: list<string>}>, ended: bool} $stored written by ourselves */
            $stored = $r->json('walk');
            $way = Walk::fromArray($stored);
            $score = Score::of($handout->edition->paper(), $way, $credits, $handout->markStep);
            $marks = $score->total->toFloat();
            foreach ($way->steps($handout->edition->paper()) as $step) {
                $route[$step['entry']] = $step['entry'];
                // Live, a student is measured by what they have answered, not by what is still ahead.
                if (isset($cells[$step['entry']]) && $cells[$step['entry']]->code !== 'waits' && $cells[$step['entry']]->try === $step['try']) {
                    $possible += $handout->edition->points($step['entry'])->toFloat();
                }
            }
        }

        return new RowView(
            $r->text('student_id'),
            $r->text('name'),
            $r->textOrNull('sitting_id'),
            $r->text('state'),
            $r->int('attempt'),
            $r->int('version'),
            $r->textOrNull('at_entry'),
            $cells,
            array_values($route),
            $marks,
            $possible,
            $possible > 0.0 ? $rungs->reached($marks / $possible) : 0,
        );
    }
}
