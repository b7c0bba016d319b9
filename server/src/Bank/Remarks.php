<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\Input\RemarkInput;
use ChalkLadder\Server\Bank\Api\View\RemarksView;
use ChalkLadder\Server\Bank\Entity\Remark;
use ChalkLadder\Server\Bank\ReadModel\RemarkList;
use ChalkLadder\Server\Bank\Repository\RemarkRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** What the team says about its questions and papers: pinned to a part, open until settled. */
final readonly class Remarks
{
    /** @param iterable<TalkedOf> $subjects */
    public function __construct(
        #[AutowireIterator(TalkedOf::class)]
        private iterable $subjects,
        private RemarkRepository $remarks,
        private RemarkList $list,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function of(StaffUser $who, RemarkOn $on, string $id): RemarksView
    {
        if (!$this->subject($on)->has($who->teamId, $id)) {
            throw Problem::notFound('What is talked about');
        }

        return new RemarksView($this->list->of($who->teamId, $on, $id, $who->id));
    }

    public function add(StaffUser $who, RemarkOn $on, string $id, RemarkInput $input): RemarksView
    {
        $this->transaction->run(function () use ($who, $on, $id, $input): void {
            if (!$this->subject($on)->hold($who->teamId, $id)) {
                throw Problem::notFound('What is talked about');
            }
            $again = $this->remarks->find($who->teamId, strtolower($input->id));
            if ($again !== null) {
                return;
            }
            $this->remarks->add(new Remark(
                strtolower($input->id),
                $who->teamId,
                $on,
                $id,
                $input->part,
                trim($input->text),
                $who->id,
                $this->clock->now(),
            ));
        });

        return $this->of($who, $on, $id);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, int> open remarks by subject; none is absent
     */
    public function open(RemarkOn $on, array $ids): array
    {
        return $this->list->open($on, $ids);
    }

    public function settle(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, fn (Remark $remark) => $remark->settle($who->id, $this->clock->now()));
    }

    public function reopen(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, static fn (Remark $remark) => $remark->reopen());
    }

    public function remove(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, fn (Remark $remark) => $remark->isOf($who->id)
            ? $this->remarks->remove($remark)
            : throw Problem::conflict('This remark is somebody else’s.', 'Settle it instead.'));
    }

    /** @param \Closure(Remark): void $change */
    private function changed(StaffUser $who, string $id, \Closure $change): RemarksView
    {
        [$on, $subject] = $this->transaction->run(function () use ($who, $id, $change): array {
            $remark = $this->remarks->findLocked($who->teamId, $id) ?? throw Problem::notFound('The remark');
            $change($remark);

            return [$remark->on(), $remark->subject()];
        });

        return $this->of($who, $on, $subject);
    }

    private function subject(RemarkOn $on): TalkedOf
    {
        foreach ($this->subjects as $subject) {
            if ($subject->isAbout() === $on) {
                return $subject;
            }
        }
        throw new \LogicException('Somebody knows everything that is talked about.');
    }
}
