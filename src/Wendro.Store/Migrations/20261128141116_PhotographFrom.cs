using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Wendro.Store.Migrations
{
    /// <inheritdoc />
    public partial class PhotographFrom : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "From",
                table: "Photographs",
                type: "TEXT",
                maxLength: 20,
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "From",
                table: "Photographs");
        }
    }
}
