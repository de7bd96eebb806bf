using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Wendro.Store.Migrations
{
    /// <inheritdoc />
    public partial class Labels : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<byte[]>(
                name: "Edit",
                table: "PlanRevisions",
                type: "BLOB",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Label",
                table: "PlanRevisions",
                type: "TEXT",
                maxLength: 200,
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Edit",
                table: "PlanRevisions");

            migrationBuilder.DropColumn(
                name: "Label",
                table: "PlanRevisions");
        }
    }
}
