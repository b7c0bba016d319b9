<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Entity;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Core\Sitting\Support;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** Somebody who learns. Class code, name and PIN together let them in, or an account that they took for themselves. */
#[ORM\Entity]
#[ORM\Table(name: 'student')]
class Student implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'name_folded', type: 'text')]
    protected string $nameFolded;

    #[ORM\Column(type: 'support')]
    protected Support $support;

    /** What the school's own system calls them; null where it has not told. */
    #[ORM\Column(name: 'source_id', type: 'text', nullable: true)]
    protected ?string $sourceId = null;

    /** The student whose double this record was; null for a student of one's own. */
    #[ORM\Column(name: 'merged_into', type: 'guid', nullable: true)]
    protected ?string $mergedInto = null;

    #[ORM\Column(name: 'account_name', type: 'text', nullable: true)]
    protected ?string $accountName = null;

    #[ORM\Column(name: 'account_hash', type: 'text', nullable: true)]
    protected ?string $accountHash = null;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(name: 'pin_sealed', type: 'text')]
        protected string $pinSealed,
    ) {
        $this->id = Id::fresh();
        $this->nameFolded = PersonName::fold($name);
        $this->support = new Support();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function nameFolded(): string
    {
        return $this->nameFolded;
    }

    public function pinSealed(): string
    {
        return $this->pinSealed;
    }

    public function rename(string $name, string $by): void
    {
        if ($name === $this->name) {
            return;
        }
        $this->note(new Acted($this->teamId, $by, 'rename', 'student', $this->id, ['from' => $this->name]));
        $this->name = $name;
        $this->nameFolded = PersonName::fold($name);
    }

    public function support(): Support
    {
        return $this->support;
    }

    /** The trail says that it was changed, and not to what: it is read by more people than need to know. */
    public function supportWith(Support $support, string $by): void
    {
        if ($support->toArray() === $this->support->toArray()) {
            return;
        }
        $this->support = $support;
        $this->note(new Acted($this->teamId, $by, 'change support', 'student', $this->id));
    }

    /** Whoever knew the old one may have taken an account by it. */
    public function resetPin(string $sealed, string $by): void
    {
        $this->pinSealed = $sealed;
        $this->closeAccount();
        $this->note(new Acted($this->teamId, $by, 'reset PIN', 'student', $this->id));
    }

    /** By which the student comes in without class code and PIN; null where they have none. */
    public function accountName(): ?string
    {
        return $this->accountName;
    }

    public function takeAccount(string $name, string $hash): void
    {
        $this->accountName = $name;
        $this->accountHash = $hash;
    }

    public function closeAccount(): void
    {
        $this->accountName = $this->accountHash = null;
    }

    public function sourceId(): ?string
    {
        return $this->sourceId;
    }

    public function knownAs(string $sourceId): void
    {
        $this->sourceId = $sourceId;
    }

    /** The id of who is meant by this record. */
    public function standsFor(): string
    {
        return $this->mergedInto ?? $this->id;
    }

    private function isErased(): bool
    {
        return $this->nameFolded === self::erasedName($this->id);
    }

    /** Nobody can be meant by this record any more: it was erased, or another student's is theirs. */
    public function isGone(): bool
    {
        return $this->isErased() || $this->mergedInto !== null;
    }

    /** @param string|null $studentId whose double this record turned out to be; null for nobody's */
    public function becomes(?string $studentId): void
    {
        $this->mergedInto = $studentId;
    }

    /** Nobody's name any more, and no way in. */
    public function erase(string $sealedPin): void
    {
        $this->name = 'Erased student';
        $this->nameFolded = self::erasedName($this->id);
        $this->pinSealed = $sealedPin;
        $this->support = new Support();
        $this->sourceId = null;
        $this->closeAccount();
    }

    private static function erasedName(string $id): string
    {
        return 'erased '.$id;
    }
}
