<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Marking\Api\Input\SecondMarkInput;
use ChalkLadder\Server\Marking\Entity\SecondMark;
use ChalkLadder\Server\Marking\Repository\MarkRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Work;
use Symfony\Component\Clock\ClockInterface;

/**
 * Marking an answer once more without seeing the mark of another. What both gave is kept as it was given, so that a mark
 * that is settled later does not look like agreement.
 */
final readonly class SecondMarking
{
    public function __construct(
        private Work $work,
        private MarkRepository $marks,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function mark(StaffUser $who, SecondMarkInput $input): void
    {
        $this->transaction->run(function () use ($who, $input): void {
            [$sitting, $first] = $this->work->firstMark($who->teamId, $input->sittingId, $input->entry, $input->try);
            $rule = $sitting->own($input->entry, $input->try)?->item->rule;
            if (!$rule instanceof Rubric) {
                throw Problem::notFound('The open question');
            }
            foreach ($rule->criteria() as $i => $criterion) {
                if (!isset($criterion->levels[$input->levels[$i] ?? -1])) {
                    throw Problem::invalid(['levels' => sprintf('Pick a level for "%s".', $criterion->name)]);
                }
            }
            $levels = array_values(array_slice($input->levels, 0, count($rule->criteria())));
            $own = $this->marks->second($sitting->id, $input->entry, $input->try, $who->id);
            if ($own !== null) {
                $own->change($levels, $this->clock->now());

                return;
            }
            if ($first?->levels === null || in_array(null, $first->levels, true)) {
                throw Problem::conflict('This answer has no first mark.', 'Mark it on the ordinary desk.');
            }
            if ($first->by === $who->id) {
                throw Problem::conflict('You have marked this answer yourself.', 'A second mark has to come from somebody else.');
            }
            if ($this->marks->second($sitting->id, $input->entry, $input->try, $first->by) === null) {
                $this->marks->add(new SecondMark($sitting->id, $input->entry, $input->try, $first->by, $first->levels, $first->at));
            }
            $this->marks->add(new SecondMark($sitting->id, $input->entry, $input->try, $who->id, $levels, $this->clock->now()));
        });
    }
}
