<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Unit;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Api\View\TermsView;
use ChalkLadder\Server\Bank\Api\View\TermView;
use ChalkLadder\Server\Bank\Entity\Misconception;
use ChalkLadder\Server\Bank\Entity\Skill;
use ChalkLadder\Server\Bank\ReadModel\TermList;
use ChalkLadder\Server\Bank\Repository\MisconceptionRepository;
use ChalkLadder\Server\Bank\Repository\SkillRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** The team's skills and misconceptions. */
final readonly class Terms
{
    public function __construct(
        private SkillRepository $skills,
        private MisconceptionRepository $misconceptions,
        private TermList $list,
        private Teams $teams,
        private Transaction $transaction,
    ) {
    }

    public function all(string $teamId): TermsView
    {
        return new TermsView(
            $this->list->skills($teamId),
            $this->list->misconceptions($teamId),
            Unit::symbols(),
            array_column($this->teams->rungs($teamId)->bands, 'name'),
        );
    }

    /** @return array<string, string> names of the team's misconceptions by id */
    public function misconceptionNames(string $teamId): array
    {
        return $this->list->misconceptionNames($teamId);
    }

    /** @return array<string, string> names of the team's skills by id */
    public function skillNames(string $teamId): array
    {
        return $this->list->skillNames($teamId);
    }

    public function addSkill(StaffUser $who, TermInput $input): TermView
    {
        $skill = $this->transaction->run(function () use ($who, $input): Skill {
            $this->list->hold($who->teamId);
            $name = self::free($input->name, $this->skillNames($who->teamId));
            $skill = new Skill($who->teamId, $name, $this->parent($who->teamId, null, $input->parent), $who->id);
            $this->skills->add($skill);

            return $skill;
        });

        return $this->skill($who->teamId, $skill->id());
    }

    public function changeSkill(StaffUser $who, string $id, TermInput $input): TermView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $this->list->hold($who->teamId);
            $skill = $this->skills->findLocked($who->teamId, $id) ?? throw Problem::notFound('The skill');
            $skill->rename(self::free($input->name, array_diff_key($this->skillNames($who->teamId), [$id => true])), $who->id);
            $skill->moveBelow($this->parent($who->teamId, $id, $input->parent), $who->id);
        });

        return $this->skill($who->teamId, $id);
    }

    public function addMisconception(StaffUser $who, TermInput $input): TermView
    {
        $idea = $this->transaction->run(function () use ($who, $input): Misconception {
            $this->list->hold($who->teamId);
            $idea = new Misconception(
                $who->teamId,
                self::free($input->name, $this->misconceptionNames($who->teamId)),
                $input->looksLike,
                $input->nextStep,
                $who->id,
            );
            $this->misconceptions->add($idea);

            return $idea;
        });

        return $this->misconception($who->teamId, $idea->id());
    }

    public function changeMisconception(StaffUser $who, string $id, TermInput $input): TermView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $this->list->hold($who->teamId);
            $idea = $this->misconceptions->findLocked($who->teamId, $id) ?? throw Problem::notFound('The misconception');
            $idea->describe(
                self::free($input->name, array_diff_key($this->misconceptionNames($who->teamId), [$id => true])),
                $input->looksLike,
                $input->nextStep,
                $who->id,
            );
        });

        return $this->misconception($who->teamId, $id);
    }

    /** @return array<string, string> what stands for each skill or misconception that was put together with another */
    public function sameAs(string $teamId): array
    {
        return $this->list->sameAs($teamId);
    }

    /**
     * A document in which every skill and misconception is called by the one that stands for it.
     *
     * @param array<array-key, mixed> $document
     * @param array<string, string>   $same
     *
     * @return array<array-key, mixed>
     */
    public static function current(array $document, array $same): array
    {
        if ($same !== []) {
            array_walk_recursive($document, static function (mixed &$value) use ($same): void {
                $value = is_string($value) ? $same[$value] ?? $value : $value;
            });
        }

        return $document;
    }

    /** The skill above, if there is to be one: the team's, and not one that stands below this one. */
    private function parent(string $teamId, ?string $id, ?string $wanted): ?string
    {
        if ($wanted === null) {
            return null;
        }
        $above = array_column($this->list->skills($teamId), 'parent', 'id');
        if (!array_key_exists($wanted, $above)) {
            throw Problem::invalid(['parent' => 'This skill is not one of the team’s.']);
        }
        for ($at = $wanted; $at !== null; $at = $above[$at] ?? null) {
            if ($at === $id) {
                throw Problem::invalid(['parent' => 'A skill cannot stand below itself.']);
            }
        }

        return $wanted;
    }

    private function skill(string $teamId, string $id): TermView
    {
        return self::among($this->list->skills($teamId), $id);
    }

    private function misconception(string $teamId, string $id): TermView
    {
        return self::among($this->list->misconceptions($teamId), $id);
    }

    /** @param list<TermView> $terms */
    private static function among(array $terms, string $id): TermView
    {
        return array_values(array_filter(
            $terms,
            static fn (TermView $t): bool => $t->id === $id,
        ))[0] ?? throw Problem::notFound('The term');
    }

    /** @param array<string, string> $taken */
    private static function free(string $name, array $taken): string
    {
        $name = trim($name);
        if (in_array(mb_strtolower($name), array_map(mb_strtolower(...), $taken), true)) {
            throw Problem::invalid(['name' => sprintf('There is already one called "%s".', $name)]);
        }

        return $name;
    }
}
