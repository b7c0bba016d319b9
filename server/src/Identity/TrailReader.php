<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\Api\View\TrailLineView;
use ChalkLadder\Server\Identity\Api\View\TrailUndoView;
use ChalkLadder\Server\Identity\Api\View\TrailView;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\ReadModel\TrailLine;
use ChalkLadder\Server\Identity\ReadModel\TrailList;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Uid\Uuid;

/** Reads the trail: who changed what in a team, and what of it can still be taken back. */
final readonly class TrailReader
{
    private const STRETCH = 200;

    /** @param iterable<TrailSubjects> $rooms */
    public function __construct(
        private TrailList $trail,
        private StaffList $staff,
        #[AutowireIterator(TrailSubjects::class)]
        private iterable $rooms,
    ) {
    }

    /**
     * @param string $by     a member of staff, or '' for all
     * @param string $kind   of subject, or '' for all
     * @param string $before the change the stretch ends before, or '' for the latest
     */
    public function list(string $teamId, string $by, string $kind, string $before): TrailView
    {
        $lines = $this->trail->stretch($teamId, $by, $kind, $before, self::STRETCH + 1);
        $more = count($lines) > self::STRETCH;
        $lines = array_slice($lines, 0, self::STRETCH);

        return new TrailView($this->views($teamId, $lines), $this->staff->names($teamId), $more ? $lines[count($lines) - 1]->id : null);
    }

    /**
     * A paper saves itself every few seconds, so what is alike in a row is one line.
     *
     * @param list<TrailLine> $lines
     *
     * @return list<TrailLineView>
     */
    private function views(string $teamId, array $lines): array
    {
        $subjects = $this->subjects($teamId, $lines);
        $views = [];
        for ($i = 0; $i < count($lines); $i += $times) {
            $line = $lines[$i];
            $times = 1;
            while ($line->act === 'change' && isset($lines[$i + $times]) && $line->isAlike($lines[$i + $times])) {
                ++$times;
            }
            [$did, $detail] = self::words($line, $subjects);
            $views[] = new TrailLineView(
                $line->id,
                $line->at,
                $line->staff,
                $did,
                ($subjects[$line->subjectId] ?? null)->name ?? '',
                $line->kind,
                $line->subjectId,
                $detail,
                $times,
                self::undo($line, $subjects),
            );
        }

        return $views;
    }

    /**
     * What the lines speak of, as it is now.
     *
     * @param list<TrailLine> $lines
     *
     * @return array<string, TrailSubject> by id; a place on a roster by `class|student`
     */
    private function subjects(string $teamId, array $lines): array
    {
        $ids = [];
        foreach ($lines as $line) {
            $named = array_map($line->text(...), ['change', 'class', 'student', 'group', 'into']);
            foreach ([$line->subjectId, ...$named] as $id) {
                $ids[$id] = true;
            }
        }
        $ids = array_values(array_filter(array_map(strval(...), array_keys($ids)), Uuid::isValid(...)));
        $subjects = [];
        foreach ($ids === [] ? [] : $this->rooms as $room) {
            $subjects += $room->named($teamId, $ids);
        }

        return $subjects;
    }

    /**
     * @param array<string, TrailSubject> $subjects
     *
     * @return array{string, string} what was done, and what else is known of it
     */
    private static function words(TrailLine $line, array $subjects): array
    {
        $name = static fn (string $key): string => ($subjects[$line->text($key)] ?? null)->name ?? '';
        $number = $line->number(...);
        $question = $number('question') > 0 ? ' to question '.$number('question') : '';
        $students = $number('students') === 1 ? '1 student' : $number('students').' students';

        return match ($line->act.' '.$line->kind) {
            'add item' => ['wrote the question', ''],
            'change item' => ['changed the question', ''],
            'archive item' => ['archived the question', ''],
            'restore item' => ['restored the question', ''],
            'add paper' => ['began the paper', ''],
            'change paper' => ['worked on the paper', ''],
            'publish paper' => ['published edition '.$number('edition').' of', ''],
            'archive paper' => ['archived the paper', ''],
            'restore paper' => ['restored the paper', ''],
            'add class' => ['made the class', ''],
            'add students class' => ['added '.($number('count') === 1 ? '1 student' : $number('count').' students').' to', ''],
            'print slips class' => ['laid out slips with PINs for', ''],
            'reset PIN student' => ['reset the PIN of', ''],
            'ask to help student' => ['asked', 'to help another student'],
            'put together student' => ['put the record of '.$line->text('from').' together with', ''],
            'part student' => ['parted the record of '.$line->text('from').' again from', ''],
            'correct student' => ['corrected an answer of', ''],
            'leave student' => ['took', 'out of '.$name('class')],
            'take over student' => ['took', 'into '.$name('class')],
            'pictures class' => ['let students come in by pictures in', ''],
            'no pictures class' => ['let students come in by PIN alone in', ''],
            'change teachers class' => ['changed whose class it is:', ''],
            'rejoin student' => ['put', 'back into '.$name('class')],
            'hand out handout' => ['handed out', 'to '.$students],
            'change handout' => [($line->detail['visible'] ?? true) === true ? 'changed the conditions of' : 'hid', ''],
            'withdraw handout' => ['took back the handout', '“'.$line->text('title').'”'],
            'give time handout' => ['gave '.$name('student').' '.($number('minutes') === 1 ? '1 minute' : $number('minutes').' minutes').' beyond the others in', ''],
            'mend handout' => ['gave edition '.$number('edition').' of', 'to those at work'],
            'hold handout' => ['held '.$students.' in', ''],
            'release handout' => ['released '.$students.' in', ''],
            'write handout' => [$line->text('to') === 'all' ? 'wrote to all in' : 'wrote to a student in', ''],
            'take in handout' => ['took in the work of '.$name('student').' in', ''],
            'begin climb handout' => ['let '.$number('teams').' teams climb in', ''],
            'close handout' => ['closed', ''],
            'reopen handout' => ['opened again', ''],
            'return handout' => ['returned', 'to '.$students],
            'take back handout' => ['took back', 'from '.$students],
            'change key handout' => ['changed the key'.$question.' of', '· '.$number('gains').' gained, '.$number('loses').' lost'],
            'undo key edition' => ['took back the new key'.$question.' of', ''],
            'keep grouping grouping' => ['kept the grouping', $number('groups') === 1 ? 'as 1 group' : 'in '.$number('groups').' groups'],
            'archive grouping' => ['archived the grouping', ''],
            'restore grouping' => ['restored the grouping', ''],
            'move grouping' => ['moved '.$name('student').' in', 'to “'.$name('group').'”'],
            'add staff' => ['took into the team', ''],
            'set role staff' => ['made', 'a '.$line->text('to')],
            'leave team staff' => ['took', 'out of the team'],
            'rejoin team staff' => ['took', 'back into the team'],
            'set password staff' => ['set a password for', ''],
            'set framing pages team' => ['changed the pages that may show the work of', ''],
            'set rungs team' => ['set the rungs of', ''],
            'set search language team' => ['set the language of search of', ''],
            'set mark step team' => ['set the smallest mark of', 'to '.$line->text('to')],
            'add skill' => ['named the skill', ''],
            'rename skill', 'rename misconception', 'rename class', 'rename student' => ['renamed', 'which was “'.$line->text('from').'”'],
            'add misconception' => ['named the misconception', ''],
            'move skill' => ['moved in the tree', ''],
            'merge skill', 'merge misconception', 'merge item' => ['put together', $name('into') === '' ? '' : 'with “'.$name('into').'”'],
            'take apart skill', 'take apart misconception', 'take apart item' => ['took apart', 'from what it was put together with'],
            default => [$line->act, ''],
        };
    }

    /** @param array<string, TrailSubject> $subjects */
    private static function undo(TrailLine $line, array $subjects): ?TrailUndoView
    {
        [$thing, $undo] = match ($line->act) {
            'change key' => [$line->text('change'), new TrailUndoView('key', $line->text('change'), null)],
            'leave' => [$line->text('class').'|'.$line->subjectId, new TrailUndoView('student', $line->subjectId, $line->text('class'))],
            'archive' => [$line->subjectId, new TrailUndoView($line->kind, $line->subjectId, null)],
            default => ['', null],
        };

        return ($subjects[$thing] ?? null)?->away === true ? $undo : null;
    }
}
