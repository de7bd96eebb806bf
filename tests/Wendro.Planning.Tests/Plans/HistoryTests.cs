using CsCheck;
using Wendro.Plans;

namespace Wendro.Tests.Plans;

public sealed class HistoryTests
{
    [Fact]
    public void Undo_and_redo_walk_the_same_way_as_two_stacks() =>
        Gen.Int[0, 2]
            .Array[0, 60]
            .Sample(steps =>
            {
                var all = new Dictionary<int, History> { [1] = History.First };
                var now = History.First;
                var undo = new Stack<int>();
                var redo = new Stack<int>();
                var shown = 1;
                foreach (var step in steps)
                {
                    var next = step switch
                    {
                        0 => now.Edited(),
                        1 => now.Undo(n => all[n]),
                        _ => now.Redo(n => all[n]),
                    };
                    if (step == 0)
                    {
                        undo.Push(shown);
                        redo.Clear();
                        shown = now.Revision + 1;
                    }
                    else if (step == 1 && undo.Count > 0)
                    {
                        redo.Push(shown);
                        shown = undo.Pop();
                    }
                    else if (step == 2 && redo.Count > 0)
                    {
                        undo.Push(shown);
                        shown = redo.Pop();
                    }
                    else
                    {
                        Assert.Null(next);
                        continue;
                    }

                    Assert.NotNull(next);
                    Assert.Equal(now.Revision + 1, next.Revision);
                    all[next.Revision] = next;
                    now = next;
                    Assert.Equal(shown, now.Shows);
                    Assert.Equal(undo.Count > 0, now.CanUndo);
                    Assert.Equal(redo.Count > 0, now.CanRedo);
                }
            });
}
