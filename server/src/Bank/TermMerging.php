<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Bank\Api\View\TermsView;
use ChalkLadder\Server\Bank\Entity\Skill;
use ChalkLadder\Server\Bank\ReadModel\TermList;
use ChalkLadder\Server\Bank\ReadModel\Versions;
use ChalkLadder\Server\Bank\Repository\MisconceptionRepository;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Bank\Repository\SkillRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/**
 * Two skills, or two misconceptions, that are the same become one. Questions and drafts are written anew; published papers and what was
 * answered to them stay as they are, and are counted under the one that stands for both. It can be taken apart again.
 */
final readonly class TermMerging
{
    public function __construct(
        private SkillRepository $skills,
        private MisconceptionRepository $misconceptions,
        private QuestionRepository $questions,
        private Versions $versions,
        private TermList $list,
        private Terms $terms,
        private NamesElsewhere $elsewhere,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function putTogether(StaffUser $who, TermKind $kind, string $id, string $into): TermsView
    {
        $this->transaction->run(function () use ($who, $kind, $id, $into): void {
            $this->list->hold($who->teamId);
            // Ids are the same however they are written.
            $this->merge($who, $this->all($kind), $id, strtolower($into));
        });

        return $this->terms->all($who->teamId);
    }

    public function takeApart(StaffUser $who, TermKind $kind, string $id): TermsView
    {
        $this->transaction->run(function () use ($who, $kind, $id): void {
            $this->list->hold($who->teamId);
            $this->separate($who, $this->all($kind), $id);
        });

        return $this->terms->all($who->teamId);
    }

    private function all(TermKind $kind): SkillRepository|MisconceptionRepository
    {
        return $kind === TermKind::Skill ? $this->skills : $this->misconceptions;
    }

    private function merge(StaffUser $who, SkillRepository|MisconceptionRepository $all, string $id, string $into): void
    {
        [$one, $other] = $all->findTwoLocked($who->teamId, $id, $into) ?? throw Problem::notFound('One of the two');
        if ($one === $other || $one->mergedInto() !== null || $other->mergedInto() !== null) {
            throw Problem::conflict('These two cannot be put together.', 'One of them is already part of another one.');
        }
        $children = $one instanceof Skill && $other instanceof Skill ? $this->handOver($who, $one, $other) : [];
        $questions = $this->rewrite($who, $id, $into);
        $papers = $this->elsewhere->call($who->teamId, $who->id, $id, $into);
        foreach (array_keys($this->list->sameAs($who->teamId), $id, true) as $earlier) {
            $all->findLocked($who->teamId, $earlier)?->follow($into, $papers['mixed']);
        }
        $one->mergeInto($into, ['questions' => $questions, 'children' => $children, 'papers' => $papers['alone']], $who->id);
    }

    private function separate(StaffUser $who, SkillRepository|MisconceptionRepository $all, string $id): void
    {
        $one = $all->findLocked($who->teamId, $id) ?? throw Problem::notFound('The term');
        $into = $one->mergedInto() ?? throw Problem::conflict('This stands for itself already.', 'Somebody has taken it apart before you.');
        $what = $one->takeApart($who->id);
        foreach ($what['questions'] as $question => $version) {
            $now = $this->questions->findLocked($who->teamId, $question);
            $before = $this->versions->content($question, $version - 1);
            // What has been changed since then says what its writer meant.
            if ($now !== null && $now->version() === $version && $before !== null) {
                $now->revise(ItemTemplate::read($before), $who->id, $this->clock->now());
            }
        }
        if ($one instanceof Skill) {
            $this->takeBack($who, $one, $into, $what['children']);
        }
        $this->elsewhere->call($who->teamId, $who->id, $into, $id, $what['papers']);
    }

    /** @return list<string> the skills below the one, which now stand below the other */
    private function handOver(StaffUser $who, Skill $one, Skill $other): array
    {
        $above = array_column($this->list->skills($who->teamId), 'parent', 'id');
        for ($at = $above[$other->id()] ?? null; $at !== null; $at = $above[$at] ?? null) {
            if ($at === $one->id()) {
                // It stood somewhere below the one whose place it takes.
                $other->moveBelow($one->parentId(), $who->id);
            }
        }
        $children = array_values(array_diff(array_keys($above, $one->id(), true), [$other->id()]));
        foreach ($children as $child) {
            $this->skill($who, $child)->moveBelow($other->id(), $who->id);
        }

        return $children;
    }

    /**
     * The skills that stood below the one stand there again, where nobody has moved them since.
     *
     * @param list<string> $children
     */
    private function takeBack(StaffUser $who, Skill $one, string $from, array $children): void
    {
        $above = array_column($this->list->skills($who->teamId), 'parent', 'id');
        foreach ($children as $child) {
            if (($above[$child] ?? null) === $from) {
                $this->skill($who, $child)->moveBelow($one->id(), $who->id);
                $above[$child] = $one->id();
            }
        }
        // What stood above it may have been put below one of these meanwhile.
        for ($at = $one->parentId(); $at !== null; $at = $above[$at] ?? null) {
            if ($at === $one->id()) {
                $one->moveBelow(null, $who->id);

                return;
            }
        }
    }

    /** @return array<string, int> the new version of each question that named it */
    private function rewrite(StaffUser $who, string $id, string $into): array
    {
        $versions = [];
        foreach ($this->list->naming($who->teamId, $id) as $named) {
            $question = $this->questions->findLocked($who->teamId, $named);
            if ($question === null) {
                continue;
            }
            $versions[$named] = $question->version() + 1;
            $content = Terms::current($question->content()->toArray(), [$id => $into]);
            $question->revise(ItemTemplate::read($content), $who->id, $this->clock->now());
        }

        return $versions;
    }

    private function skill(StaffUser $who, string $id): Skill
    {
        return $this->skills->findLocked($who->teamId, $id) ?? throw Problem::notFound('The skill');
    }
}
