using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Wendro.Store.Migrations
{
    /// <inheritdoc />
    public partial class Photographs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Photographs",
                columns: table => new
                {
                    VisitId = table.Column<Guid>(type: "TEXT", nullable: false),
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", maxLength: 64, nullable: false),
                    Width = table.Column<int>(type: "INTEGER", nullable: false),
                    Height = table.Column<int>(type: "INTEGER", nullable: false),
                    Moment = table.Column<string>(type: "TEXT", maxLength: 20, nullable: false),
                    MayBeShown = table.Column<bool>(type: "INTEGER", nullable: false),
                    At = table.Column<DateTimeOffset>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Photographs", x => new { x.VisitId, x.Number });
                    table.ForeignKey(
                        name: "FK_Photographs_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Photographs_Name",
                table: "Photographs",
                column: "Name");

            migrationBuilder.CreateIndex(
                name: "IX_Photographs_VisitId_Name",
                table: "Photographs",
                columns: new[] { "VisitId", "Name" },
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Photographs");
        }
    }
}
